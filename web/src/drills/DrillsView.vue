<script setup lang="ts">
import type { Playback } from '@yew-basin/core'
import { computed, onUnmounted, ref, shallowRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { Calculator, Cancelled } from '../calc/client.ts'
import ConflictDialog from '../workspace/ConflictDialog.vue'
import NotOpen from '../workspace/NotOpen.vue'
import { plain } from '../workspace/plain.ts'
import { useBasin } from '../workspace/use-basin.ts'
import WorkspaceHeader from '../workspace/WorkspaceHeader.vue'
import DrillChart from './DrillChart.vue'
import DrillList from './DrillList.vue'
import DrillSection from './DrillSection.vue'
import DrillTransport from './DrillTransport.vue'
import { useDrills } from './drills-store.ts'
import OwnDrillForm from './OwnDrillForm.vue'
import SurvivalTable from './SurvivalTable.vue'
import { usePlayer } from './use-player.ts'
import VerdictPanel from './VerdictPanel.vue'

/** The system's bad days: all verdicts, one of them played, what mends it. */
const { id } = defineProps<{ id: string }>()
const store = useBasin(() => id, 'Drills')
const drills = useDrills()

const chosenId = ref<string | null>(null)
const chosen = computed(() => {
  const known = chosenId.value !== null ? drills.found.get(chosenId.value) : undefined
  return known ?? drills.found.get(drills.verdicts[0]?.drillId ?? '') ?? null
})
const playback = shallowRef<Playback | null>(null)
const fault = ref('')
const player = usePlayer(playback)
const calculator = new Calculator()
onUnmounted(() => calculator.cancel())

/** The drill that is chosen, run again for playing. */
async function fetchPlayback(drillId: string) {
  const drill = drills.drills.find((one) => one.id === drillId)
  const design = store.design
  if (!drill || !design) return
  fault.value = ''
  try {
    playback.value = await calculator.ask((calc) => calc.play(plain(design), plain(drill)))
  } catch (error) {
    if (!(error instanceof Cancelled)) fault.value = (error as Error).message
  }
}
watch(
  () => [chosen.value?.verdict, drills.stale, drills.progress] as const,
  ([verdict, stale, progress]) => {
    if (verdict && !stale && !progress) void fetchPlayback(verdict.drillId)
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
        <DrillList :chosen-id="chosen?.verdict.drillId ?? null" @choose="chosenId = $event" />
        <SurvivalTable />
        <OwnDrillForm />
      </div>
      <main class="area-play" aria-label="The drill, played">
        <div class="relative min-h-72 grow bg-sheet">
          <DrillSection
            :design="store.running!"
            :solved="store.solved"
            :playback="drills.stale ? null : playback"
            :time-s="player.timeS.value"
            :playing="player.playing.value"
          />
        </div>
        <p v-if="fault" class="px-3 text-aril" role="alert">{{ fault }}</p>
        <template v-if="playback && !drills.stale">
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
          :verdict="chosen.verdict"
          :mends="chosen.mends"
          @go-to="goTo"
        />
        <p v-else class="p-4 text-ink-soft" role="status">The drills are being run…</p>
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
