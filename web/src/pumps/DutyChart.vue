<script setup lang="ts">
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed, onMounted, ref } from 'vue'
import VChart from 'vue-echarts'
import { useTheme } from '../shell/theme.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'
import { dutyChart } from './duty-chart.ts'

use([LineChart, ScatterChart, GridComponent, SVGRenderer])

const store = useDesign()
const units = useUnits()
const { dark } = useTheme()
const fontReady = ref(false)
onMounted(async () => {
  await document.fonts.load('13px "Source Sans 3 Variable"')
  fontReady.value = true
})

const colour = (name: string) =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim()

const option = computed(() => {
  // Colours come from the page, so the chart is drawn again when the theme turns.
  void dark.value
  return store.shown && store.solvedLine
    ? dutyChart(store.shown, store.solvedLine, units.family, colour)
    : {}
})

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
    <div class="h-56 w-full" role="img" :aria-label="inWords" data-testid="duty-chart">
      <VChart v-if="fontReady" :option="option" :update-options="{ notMerge: true }" autoresize />
    </div>
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
