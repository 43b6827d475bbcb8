<script setup lang="ts">
import type { Drill } from '@yew-basin/core'
import { computed, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { useLongWork } from '../calc/long-work.ts'
import { ofDesign } from '../calc/of-design.ts'
import { spawnShared } from '../calc/spawn.ts'
import ConflictDialog from '../workspace/ConflictDialog.vue'
import NotOpen from '../workspace/NotOpen.vue'
import { plain } from '../workspace/plain.ts'
import { useBasin } from '../workspace/use-basin.ts'
import WorkspaceHeader from '../workspace/WorkspaceHeader.vue'
import AllowanceFields from './AllowanceFields.vue'
import DrillChart from './DrillChart.vue'
import DrillList from './DrillList.vue'
import DrillSection from './DrillSection.vue'
import DrillTransport from './DrillTransport.vue'
import { useDrills } from './drills-store.ts'
import OwnDrillForm from './OwnDrillForm.vue'
import SurvivalTable from './SurvivalTable.vue'
import { usePlayer } from './use-player.ts'
import VerdictPanel from './VerdictPanel.vue'

/** The system's bad days: all verdicts, one of them played, what fixes it. */
const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'Drills')
const drills = useDrills()

const chosenId = ref<string | null>(null)
const chosen = computed(() => {
  const known = chosenId.value !== null ? drills.found.get(chosenId.value) : undefined
  return known ?? drills.verdicts[0] ?? null
})
/** The chosen drill of the design as it is. */
const subject = computed(() => {
  const verdict = chosen.value
  const drill = drills.drills.find((drill: Drill) => drill.id === verdict?.drillId)
  const { design } = store
  return verdict && drill && design && !drills.stale ? { verdict, drill, design } : null
})
/** Simulated again for playing. */
const played = useLongWork({
  spawn: spawnShared,
  subject: () => subject.value,
  ask: ({ design, drill }, { pool }) =>
    pool.one((calls) => ofDesign(calls, design).play(plain(drill))),
})
/** What fixes it, tried. */
const fixing = useLongWork({
  spawn: spawnShared,
  subject: () => subject.value,
  ask: ({ design, drill, verdict }, { pool }) =>
    pool.one((calls) => ofDesign(calls, design).fixesOfDrill(plain(drill), plain(verdict))),
})
const playback = played.fresh
const player = usePlayer(playback)
watch(
  () => [subject.value, drills.progress] as const,
  ([now, progress]) => {
    // Other work that ends is no reason to ask the same again.
    if (!now || progress || played.asked.value === now) return
    void played.start()
    void fixing.start()
  },
  { immediate: true },
)
function goTo(timeS: number) {
  player.stop()
  player.goTo(timeS)
}
</script>

<template>
  <div v-if="store.loadState === 'ready' && store.solved" class="drills">
    <WorkspaceHeader class="area-head" />
    <template v-if="drills.possible">
      <div class="area-list">
        <DrillList :chosen-id="chosen?.drillId ?? null" @choose="chosenId = $event" />
        <SurvivalTable />
        <OwnDrillForm />
        <AllowanceFields />
      </div>
      <main class="area-play" aria-label="The drill, played">
        <div class="relative min-h-72 grow bg-sheet">
          <DrillSection
            :design="store.running!"
            :solved="store.solved"
            :playback="playback"
            :time-s="player.timeS.value"
            :playing="player.playing.value"
          />
        </div>
        <p v-if="played.fault.value" class="px-3 text-aril" role="alert">
          {{ played.fault.value }}
        </p>
        <template v-if="playback">
          <DrillTransport :player="player" />
          <DrillChart
            :design="store.running!"
            :solved="store.solved"
            :playback="playback"
            :time-s="player.timeS.value"
            @go-to="goTo"
          />
        </template>
      </main>
      <aside class="area-verdict" aria-label="Verdict">
        <VerdictPanel
          v-if="chosen"
          :design="store.shown!"
          :verdict="chosen"
          :fixes="fixing.fresh.value"
          :trying="fixing.progress.value !== null"
          @go-to="goTo"
        />
        <p v-else class="p-4 text-ink-soft" role="status">The drills are being simulated…</p>
      </aside>
    </template>
    <main v-else class="area-empty mx-auto max-w-2xl p-8">
      <h2 class="text-2xl font-semibold">Nothing to drill yet</h2>
      <p class="mt-2 text-ink-soft">
        A drill lets the whole system fill and drain through time, so it needs the whole way down:
        an
        <RouterLink class="underline" :to="`/basins/${id}/overflow`">overflow</RouterLink> on every
        tank, <RouterLink class="underline" :to="`/basins/${id}/drains`">drains</RouterLink> in its
        box, and the <RouterLink class="underline" :to="`/basins/${id}/sump`">sump</RouterLink> with
        its sizes.
      </p>
    </main>
    <ConflictDialog />
  </div>
  <NotOpen v-else :id="id" />
</template>

<style scoped>
.drills {
  display: grid;
  min-height: 100dvh;
  grid-template:
    'head' auto
    'play' auto
    'verdict' auto
    'list' auto / minmax(0, 1fr);
}
.area-head {
  grid-area: head;
}
.area-list {
  grid-area: list;
  min-width: 0;
}
.area-play {
  grid-area: play;
  display: flex;
  min-width: 0;
  flex-direction: column;
}
.area-verdict {
  grid-area: verdict;
  min-width: 0;
}
.area-empty {
  grid-column: 1 / -1;
}
@media (min-width: 64rem) {
  .drills {
    height: 100dvh;
    grid-template:
      'head head head' auto
      'list play verdict' minmax(0, 1fr) / 18.5rem minmax(0, 1fr) 21rem;
  }
  .area-list,
  .area-verdict {
    overflow-y: auto;
  }
  .area-play {
    border-inline: 1px solid var(--rule);
  }
}
</style>
