import {
  fromSi,
  QUANTITIES,
  type CurvePoint,
  type HeadPoint,
  type UnitFamily,
} from '@yew-basin/core'
import { axes, type Palette } from '../pumps/duty-chart.ts'

/** A pump's curve through its own points. */
export function curveChart(
  drawn: readonly HeadPoint[],
  points: readonly CurvePoint[],
  family: UnitFamily,
  colour: Palette,
): Record<string, unknown> {
  const flow = QUANTITIES.flow.shown[family]
  const head = QUANTITIES.head.shown[family]
  const pair = (point: HeadPoint) => [fromSi(flow, point.flowM3PerS), fromSi(head, point.headM)]
  return {
    animation: false,
    textStyle: { fontFamily: 'Source Sans 3 Variable, sans-serif' },
    grid: { left: 40, right: 14, top: 26, bottom: 40 },
    ...axes(flow.label, head.label, colour),
    series: [
      {
        name: 'curve',
        type: 'line',
        data: drawn.filter(({ headM }) => headM >= 0).map(pair),
        showSymbol: false,
        silent: true,
        lineStyle: { color: colour('--needle'), width: 2.2 },
      },
      {
        name: 'points',
        type: 'scatter',
        data: points.map(pair),
        symbolSize: 7,
        silent: true,
        itemStyle: { color: colour('--needle') },
      },
    ],
  }
}
