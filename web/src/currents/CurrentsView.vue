<script setup lang="ts">
import { computed, watch } from 'vue'
import TankSwitch from '../bench/TankSwitch.vue'
import ConflictDialog from '../workspace/ConflictDialog.vue'
import NotOpen from '../workspace/NotOpen.vue'
import { useBasin } from '../workspace/use-basin.ts'
import { useUndoKeys } from '../workspace/use-undo-keys.ts'
import WorkspaceHeader from '../workspace/WorkspaceHeader.vue'
import CutDrawing from './CutDrawing.vue'
import { useCurrents } from './currents-store.ts'
import DyePanel from './DyePanel.vue'
import FieldPanel from './FieldPanel.vue'
import KeptFields from './KeptFields.vue'
import MapControls from './MapControls.vue'
import NozzleFields from './NozzleFields.vue'
import PlacePanel from './PlacePanel.vue'
import PumpFields from './PumpFields.vue'
import RangeRows from './RangeRows.vue'
import RockFields from './RockFields.vue'
import SceneList from './SceneList.vue'
import VerdictRows from './VerdictRows.vue'

/** The water inside a tank: what moves it, what stands in it, and how it goes round. */
const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'Currents')
const currents = useCurrents()
useUndoKeys()
watch(
  () => store.loadState === 'ready' && store.basin?.id === id,
  (ready) => ready && currents.begin(),
  { immediate: true },
)

const pump = computed(() =>
  currents.chosen?.kind === 'pump'
    ? currents.scene?.pumps.find((pump) => pump.id === currents.chosen!.id)
    : undefined,
)
const rock = computed(() =>
  currents.chosen?.kind === 'rock'
    ? currents.scene?.rocks.find((rock) => rock.id === currents.chosen!.id)
    : undefined,
)
const nozzle = computed(() =>
  currents.chosen?.kind === 'nozzle'
    ? currents.domain?.streams.find((stream) => stream.id === currents.chosen!.id)
    : undefined,
)
</script>

<template>
  <div v-if="store.loadState === 'ready' && currents.domain && currents.scene" class="currents">
    <WorkspaceHeader class="area-head" />
    <div class="area-list">
      <TankSwitch v-if="store.shown!.tanks.length > 1" class="px-3 pt-3" />
      <fieldset :disabled="!!store.preview" class="min-w-0"><SceneList /></fieldset>
    </div>
    <main class="area-sheet" aria-label="The water, drawn">
      <h2 class="sr-only">Currents</h2>
      <div class="drawings">
        <CutDrawing name="plan" title="Plan" class="plan" />
        <CutDrawing name="front" title="Long section" class="long" />
        <CutDrawing name="end" title="Cross section" class="cross" />
      </div>
      <MapControls />
    </main>
    <aside class="area-bench space-y-5 p-3" aria-label="Bench">
      <fieldset v-if="pump || rock || nozzle" :disabled="!!store.preview" class="min-w-0">
        <PumpFields v-if="pump" :key="pump.id" :pump="pump" />
        <RockFields v-else-if="rock" :key="rock.id" :rock="rock" />
        <NozzleFields v-else-if="nozzle" :key="nozzle.id" :stream="nozzle" />
      </fieldset>
      <p v-else class="text-ink-soft">
        Choose a pump, a line’s end or a rock, here or in the drawing; drag it, or move it by the
        arrow keys.
      </p>
      <FieldPanel />
      <VerdictRows />
      <KeptFields />
      <DyePanel />
      <PlacePanel />
      <fieldset :disabled="!!store.preview" class="min-w-0"><RangeRows /></fieldset>
      <section class="rounded-md bg-sunk p-2.5 text-[0.9rem]" aria-label="What this is">
        <p>
          <strong class="font-semibold">A screening picture, not a promise.</strong> Rock is smooth
          solids, corals and guards are left out, and eddies are modelled, not seen: trust where
          water is fast or dead more than the last digit. Check it in the tank with fluorescent food
          or fine particles in a dim room, before anything lives there, and mind that no animal is
          swept against a pump’s guard. Cords get a drip loop; unplug a pump before you reach for
          it.
        </p>
      </section>
    </aside>
    <ConflictDialog />
  </div>
  <NotOpen v-else :id="id" />
</template>

<style scoped>
.currents {
  display: grid;
  min-height: 100dvh;
  grid-template:
    'head' auto
    'sheet' auto
    'list' auto
    'bench' auto / minmax(0, 1fr);
}
.area-head {
  grid-area: head;
}
.area-list {
  grid-area: list;
  min-width: 0;
}
.area-sheet {
  grid-area: sheet;
  display: flex;
  min-width: 0;
  flex-direction: column;
}
.area-bench {
  grid-area: bench;
  min-width: 0;
}
.drawings {
  display: grid;
  flex: 1;
  gap: 1px;
  background: var(--rule);
  grid-template:
    'plan' 15rem
    'long' 11rem
    'cross' 11rem / minmax(0, 1fr);
}
.plan {
  grid-area: plan;
}
.long {
  grid-area: long;
}
.cross {
  grid-area: cross;
}
@media (min-width: 64rem) {
  .currents {
    height: 100dvh;
    grid-template:
      'head head head' auto
      'list sheet bench' minmax(0, 1fr) / 17.5rem minmax(0, 1fr) 20rem;
  }
  .area-list,
  .area-bench {
    overflow-y: auto;
  }
  .area-sheet {
    border-inline: 1px solid var(--rule);
  }
  .drawings {
    grid-template:
      'plan plan' minmax(0, 1.5fr)
      'long cross' minmax(0, 1fr) / minmax(0, 1.6fr) minmax(0, 1fr);
  }
}
</style>
