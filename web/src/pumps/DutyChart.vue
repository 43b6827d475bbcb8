<script setup lang="ts">
import { computed } from 'vue'
import PlainChart from '../shell/PlainChart.vue'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { dutyChart } from './duty-chart.ts'

const store = useDesign()
const units = useUnits()

const option = (colour: (token: string) => string): Record<string, unknown> =>
  store.shown && store.solvedLine
    ? dutyChart(store.shown, store.solvedLine, units.family, colour)
    : {}

const inWords = computed(() => {
  const side = store.solvedLine?.pump
  if (!side) return ''
  return side.flowM3PerS > 0
    ? `The pump’s curve meets the system’s at ${units.text('flow', side.flowM3PerS, side.flowBandM3PerS)} and ${units.text('head', side.headM, side.headBandM)}.`
    : 'The pump’s curve does not meet the system’s at this speed.'
})
</script>

<template>
  <figure class="m-0">
    <PlainChart
      class="h-56 w-full"
      name="duty"
      :in-words="inWords"
      :option="option"
      data-testid="duty-chart"
    />
    <figcaption class="caption flex flex-wrap gap-x-3">
      <span class="flex items-center gap-1"><span class="h-0.5 w-4 bg-needle" /> pump</span>
      <span class="flex items-center gap-1"
        ><span class="h-0.5 w-4 bg-(--water-ink)" /> system, dotted its band</span
      >
      <span class="flex items-center gap-1"
        ><span class="size-2.5 rounded-full border-2 border-(--aril-mark)" /> duty point</span
      >
    </figcaption>
  </figure>
</template>
