<script setup lang="ts">
import type { BasinDesign, Playback, SolvedBasin } from '@yew-basin/core'
import { useElementSize } from '@vueuse/core'
import { computed, defineAsyncComponent, useTemplateRef } from 'vue'
import { useUnits } from '../shell/units.ts'
import { drawnLevels, drillChart, FRAME, shareOfTime, timeOfShare } from './drill-chart.ts'

const PlainChart = defineAsyncComponent(() => import('../shell/PlainChart.vue'))

/** Levels and flows over a drill's time; the cursor is the moment that the section shows. */
const { design, solved, playback, timeS } = defineProps<{
  design: BasinDesign
  solved: SolvedBasin
  playback: Playback
  timeS: number
}>()
const emit = defineEmits<{ goTo: [timeS: number] }>()
const units = useUnits()
const frame = useTemplateRef<HTMLElement>('frame')
const { width } = useElementSize(frame)

const levels = computed(() => drawnLevels(design, playback, solved.sump.returnChamberId))
/** The links that give into tanks. */
const tankLinks = computed(() =>
  playback.endLinks.filter((_, i) => design.returnSide.lines[i]!.end.at === 'tank'),
)
/** One function while the drill is the same, so that a moment that passes draws no chart anew. */
const option = computed(() => {
  const about = { family: units.family, tankLinks: tankLinks.value }
  const [of, played, lines] = [design, playback, levels.value]
  return (colour: (token: string) => string) =>
    drillChart(of, played, { levels: lines, look: about, colour })
})
const endS = computed(() => playback.timesS.at(-1)!)
const cursorX = computed(
  () =>
    FRAME.left +
    shareOfTime(timeS, endS.value) * Math.max(0, width.value - FRAME.left - FRAME.right),
)
function point(event: PointerEvent) {
  if (event.type === 'pointermove' && event.buttons !== 1) return
  const { left } = (event.currentTarget as Element).getBoundingClientRect()
  const inner = Math.max(1, width.value - FRAME.left - FRAME.right)
  emit('goTo', timeOfShare((event.clientX - left - FRAME.left) / inner, endS.value))
}
</script>

<template>
  <div>
    <ul class="flex flex-wrap gap-x-3 px-2 text-[0.82rem] text-ink-soft" aria-label="Lines">
      <li v-for="level in levels" :key="level.name" class="flex items-center gap-1">
        <svg width="20" height="6" aria-hidden="true">
          <path
            d="M1 3H19"
            stroke-width="2.4"
            :stroke="`var(${level.colour})`"
            :stroke-dasharray="level.dash === 'dashed' ? '5 3' : ''"
          />
        </svg>
        {{ level.name }}
      </li>
      <li class="flex items-center gap-1">
        <svg width="20" height="6" aria-hidden="true">
          <path d="M1 3H19" stroke-width="2" stroke="var(--glass)" stroke-dasharray="2 2" />
        </svg>
        into the tanks
      </li>
      <li class="flex items-center gap-1">
        <svg width="20" height="6" aria-hidden="true">
          <path d="M1 3H19" stroke-width="1.4" stroke="var(--ink-soft)" stroke-dasharray="5 3" />
        </svg>
        down the drains
      </li>
    </ul>
    <div
      ref="frame"
      class="relative h-40 touch-none"
      data-testid="drill-chart"
      @pointerdown="point"
      @pointermove="point"
    >
      <PlainChart
        name="drill"
        class="h-40 w-full will-change-transform"
        :in-words="`Levels against where they run, and flows, from the first moment of the drill to its end.`"
        :option="option"
      />
      <div
        class="pointer-events-none absolute w-0.5 bg-aril will-change-transform"
        :style="{
          left: 0,
          top: `${FRAME.top}px`,
          bottom: `${FRAME.bottom}px`,
          transform: `translateX(${cursorX}px)`,
        }"
        data-testid="drill-cursor"
      />
    </div>
  </div>
</template>
