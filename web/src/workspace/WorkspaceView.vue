<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent } from 'vue'
import { useRouter } from 'vue-router'
import { useBuiltFindings } from '../building/built-findings.ts'
import ReturnBench from '../bench/ReturnBench.vue'
import TankBench from '../bench/TankBench.vue'
import SheetPane from '../section/SheetPane.vue'
import AlongBar from './AlongBar.vue'
import ChangedParts from './ChangedParts.vue'
import TourBar from '../tour/TourBar.vue'
import { useTour } from '../tour/tour-store.ts'
import ConflictDialog from './ConflictDialog.vue'
import NotOpen from './NotOpen.vue'
import MarginStrip from './MarginStrip.vue'
import PreviewBar from './PreviewBar.vue'
import type { Station } from '@yew-basin/core'
import { STATIONS } from './stations.ts'
import { useBasin } from './use-basin.ts'
import { useUndoKeys } from './use-undo-keys.ts'
import WaterPath from './WaterPath.vue'
import WorkspaceHeader from './WorkspaceHeader.vue'

const { id, station } = defineProps<{ id: string; station: string }>()
const store = useBasin(() => id)
const router = useRouter()
const tour = useTour()

const BENCHES = {
  tank: TankBench,
  overflow: defineAsyncComponent(() => import('../overflow/OverflowBench.vue')),
  drains: defineAsyncComponent(() => import('../drains/DrainsBench.vue')),
  sump: defineAsyncComponent(() => import('../sump/SumpBench.vue')),
  return: ReturnBench,
  skimmer: defineAsyncComponent(() => import('../treatment/SkimmerBench.vue')),
  sterilizer: defineAsyncComponent(() => import('../treatment/SterilizerBench.vue')),
}
const bench = computed(() => BENCHES[station as Station])

function inField(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest('input, textarea, select, [contenteditable]') !== null
  )
}

useUndoKeys()
useBuiltFindings()
useEventListener(window, 'keydown', (event) => {
  const { key } = event
  const plain = !event.ctrlKey && !event.metaKey
  if (plain && (key === '[' || key === ']') && !inField(event.target)) {
    const at = STATIONS.indexOf(station as Station)
    const next = STATIONS[at + (key === ']' ? 1 : -1)]
    if (next) void router.push(`/basins/${id}/${next}`)
  }
})
</script>

<template>
  <div
    v-if="store.loadState === 'ready' && store.solved"
    class="workspace"
    :data-tour="tour.step?.place"
  >
    <WorkspaceHeader class="area-head" />
    <WaterPath class="area-path" :station="station" />
    <main class="area-section relative bg-sheet" :class="{ 'preview-frame': store.preview }">
      <PreviewBar />
      <SheetPane />
    </main>
    <aside class="area-bench" aria-label="Bench">
      <component :is="bench" :key="station" />
    </aside>
    <div class="area-strip">
      <TourBar :basin-id="id" />
      <AlongBar />
      <ChangedParts />
      <MarginStrip />
    </div>
    <ConflictDialog />
  </div>
  <NotOpen v-else :id="id" />
</template>

<style scoped>
.workspace {
  display: grid;
  min-height: 100dvh;
  grid-template:
    'head' auto
    'path' auto
    'section' min(82vw, 24rem)
    'bench' 1fr
    'strip' auto / minmax(0, 1fr);
}
.area-head {
  grid-area: head;
}
.area-path {
  grid-area: path;
}
.area-section {
  grid-area: section;
  min-width: 0;
  min-height: 0;
  border-block: 1px solid var(--rule);
}
.area-bench {
  grid-area: bench;
  min-width: 0;
}
.area-strip {
  grid-area: strip;
  position: sticky;
  bottom: 0;
  z-index: 15;
}
/* What the tour speaks of; nothing is covered by it. */
.workspace[data-tour='head'] > .area-head,
.workspace[data-tour='path'] > .area-path,
.workspace[data-tour='section'] > .area-section,
.workspace[data-tour='bench'] > .area-bench,
.workspace[data-tour='strip'] > .area-strip > :last-child {
  outline: 3px solid var(--water-deep);
  outline-offset: -3px;
}
.preview-frame {
  outline: 2px dashed var(--needle);
  outline-offset: -2px;
}
@media (min-width: 64rem) {
  .workspace {
    height: 100dvh;
    grid-template:
      'head head head' auto
      'path section bench' minmax(0, 1fr)
      'strip strip strip' auto / 13.5rem minmax(0, 1fr) 23rem;
  }
  .area-section {
    border-block: 0;
    border-inline: 1px solid var(--rule);
  }
  .area-bench,
  .area-path {
    overflow-y: auto;
  }
}
</style>
