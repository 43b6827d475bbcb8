import { fromSi, QUANTITIES, type SizingAnswer, type UnitFamily } from '@yew-basin/core'
import { axis, type Palette } from '../pumps/duty-chart.ts'

const FAR_ABOVE = 1.8

/** Flow against power: all that was tried and comes near, the options numbered, the design as it stands. */
export function sizeChart(
  answer: SizingAnswer,
  {
    now,
    wantedM3PerS,
    family,
    colour,
  }: {
    readonly now: { flowM3PerS: number; powerW: number }
    readonly wantedM3PerS: number
    readonly family: UnitFamily
    readonly colour: Palette
  },
): Record<string, unknown> {
  const flow = QUANTITIES.flow.shown[family]
  const plain = { ...axis(colour), min: undefined, scale: true, nameLocation: 'middle' }
  const at = (flowM3PerS: number, powerW: number) => [fromSi(flow, flowM3PerS), powerW]
  // Dots far above every option would press the options into one line.
  const most = Math.max(now.powerW, ...answer.options.map((option) => option.wirePowerW))
  const cloud = answer.cloud.filter(({ powerW }) => powerW <= FAR_ABOVE * most)
  const powers = cloud.map(({ powerW }) => powerW)
  return {
    animation: false,
    textStyle: { fontFamily: 'Source Sans 3 Variable, sans-serif' },
    grid: { left: 52, right: 18, top: 18, bottom: 44 },
    xAxis: { ...plain, name: `into the tanks, ${flow.label}`, nameGap: 26 },
    yAxis: { ...plain, name: 'power, W', nameGap: 36 },
    series: [
      {
        name: 'tried',
        type: 'scatter',
        symbolSize: 4,
        silent: true,
        itemStyle: { color: colour('--glass'), opacity: 0.45 },
        data: cloud.map(({ flowM3PerS, powerW }) => at(flowM3PerS, powerW)),
      },
      {
        name: 'wanted',
        type: 'line',
        silent: true,
        showSymbol: false,
        lineStyle: { color: colour('--water-ink'), type: 'dashed', width: 1.5 },
        data: [at(wantedM3PerS, Math.min(...powers)), at(wantedM3PerS, Math.max(...powers))],
      },
      {
        name: 'now',
        type: 'scatter',
        symbol: 'diamond',
        symbolSize: 15,
        silent: true,
        itemStyle: { color: colour('--resin-mark') },
        data: [at(now.flowM3PerS, now.powerW)],
      },
      {
        name: 'options',
        type: 'scatter',
        symbolSize: 18,
        silent: true,
        itemStyle: { color: colour('--needle') },
        label: { show: true, color: colour('--on-needle'), fontSize: 12, formatter: '{@[2]}' },
        data: [...answer.options]
          .map((option, n) => [...at(option.flowM3PerS, option.wirePowerW), n + 1])
          .reverse(),
      },
    ],
  }
}
