<script setup lang="ts">
import { dutyCurves, fromSi, QUANTITIES, type HeadPoint } from '@yew-basin/core'
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed, onMounted, ref } from 'vue'
import VChart from 'vue-echarts'
import { useTheme } from '../shell/theme.ts'
import { useUnits } from '../shell/units.ts'
import { useDesign } from '../workspace/design-store.ts'

use([LineChart, ScatterChart, GridComponent, TooltipComponent, SVGRenderer])

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
  const design = store.shown
  const solved = store.solved
  if (!design || !solved) return {}
  void dark.value
  const flowUnit = QUANTITIES.flow.shown[units.family]
  const headUnit = QUANTITIES.head.shown[units.family]
  const pair = ({ flowM3PerS, headM }: HeadPoint) => [
    fromSi(flowUnit, flowM3PerS),
    fromSi(headUnit, headM),
  ]
  const curves = dutyCurves(design)
  const ink = colour('--ink-soft')
  const side = solved.returnSide
  const top = Math.max(
    ...curves.pump.map((p) => p.headM),
    ...(curves.fullSpeed ?? []).map((p) => p.headM),
    side.liftM,
  )
  const line = (name: string, points: readonly HeadPoint[], stroke: string, more: object = {}) => ({
    name,
    type: 'line',
    data: points.filter((p) => p.headM >= 0 && p.headM <= top * 1.15).map(pair),
    showSymbol: false,
    lineStyle: { color: stroke, width: 2.2 },
    itemStyle: { color: stroke },
    silent: true,
    animation: false,
    ...more,
  })
  const axis = {
    type: 'value',
    min: 0,
    axisLabel: {
      color: ink,
      fontSize: 12,
      formatter: (at: number) => String(at).replace(/\B(?=(\d{3})+$)/g, '\u202f'),
    },
    nameTextStyle: { color: ink, fontSize: 12 },
    splitLine: { lineStyle: { color: colour('--rule'), opacity: 0.6 } },
    axisLine: { show: true, lineStyle: { color: ink } },
  }
  return {
    animation: false,
    textStyle: { fontFamily: 'Source Sans 3 Variable, sans-serif' },
    grid: { left: 40, right: 14, top: 26, bottom: 40 },
    xAxis: {
      ...axis,
      name: `flow, ${flowUnit.label}`,
      nameLocation: 'middle',
      nameGap: 24,
      splitNumber: 4,
    },
    yAxis: {
      ...axis,
      name: `head, ${headUnit.label}`,
      nameLocation: 'end',
      nameGap: 10,
      splitNumber: 4,
      nameTextStyle: { ...axis.nameTextStyle, align: 'left', padding: [0, 0, 0, -28] },
    },
    series: [
      line('system, least losses', curves.systemLow, colour('--water-ink'), {
        lineStyle: { color: colour('--water-ink'), width: 1, type: 'dotted' },
      }),
      line('system, most losses', curves.systemHigh, colour('--water-ink'), {
        lineStyle: { color: colour('--water-ink'), width: 1, type: 'dotted' },
      }),
      ...(curves.fullSpeed
        ? [
            line('pump at full speed', curves.fullSpeed, colour('--glass'), {
              lineStyle: { color: colour('--glass'), width: 1.4, type: 'dashed' },
            }),
          ]
        : []),
      line('system', curves.system, colour('--water-ink')),
      line('pump', curves.pump, colour('--needle')),
      {
        name: 'printed points',
        type: 'scatter',
        data: curves.printed.map(pair),
        symbolSize: 5,
        itemStyle: { color: colour('--needle') },
        silent: true,
        animation: false,
      },
      ...(side.status === 'flows'
        ? [
            {
              name: 'duty point',
              type: 'scatter',
              data: [pair(side)],
              symbol: 'circle',
              symbolSize: 13,
              itemStyle: {
                color: colour('--sheet'),
                borderColor: colour('--aril-mark'),
                borderWidth: 3,
              },
              silent: true,
              animation: false,
              z: 5,
            },
          ]
        : []),
    ],
  }
})

const inWords = computed(() => {
  const side = store.solved?.returnSide
  if (!side) return ''
  return side.status === 'flows'
    ? `The pump’s curve meets the system’s at ${units.text('flow', side.flowM3PerS)} and ${units.text('head', side.headM)}.`
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
