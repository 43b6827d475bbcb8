import { fromSi, QUANTITIES, type HeadPoint, type choosing, type UnitFamily } from '@yew-basin/core'
import { axes, type Palette } from './duty-chart.ts'

/** Strokes that tell pumps apart without colour alone. */
const STROKES = ['solid', 'dashed', 'dotted'] as const
const COLOURS = ['--needle', '--resin-mark', '--aril-mark', '--lichen-mark', '--water-ink']

/** How the n-th pump is drawn. */
export function strokeOf(n: number): { colour: string; type: (typeof STROKES)[number] } {
  return {
    colour: COLOURS[n % COLOURS.length]!,
    type: STROKES[Math.floor(n / COLOURS.length) % STROKES.length]!,
  }
}

/** Every compared pump's curve over the system's, with the duty points; the first chosen one's speeds as a family. */
export function pumpsChart(
  comparison: choosing.PumpComparison,
  familyOf: string | null,
  units: UnitFamily,
  colour: Palette,
): Record<string, unknown> {
  const flow = QUANTITIES.flow.shown[units]
  const head = QUANTITIES.head.shown[units]
  const pair = ({ flowM3PerS, headM }: HeadPoint) => [fromSi(flow, flowM3PerS), fromSi(head, headM)]
  const top = 1.1 * Math.max(0.1, ...comparison.pumps.map((pump) => pump.curve[0]?.headM ?? 0))
  const line = (name: string, points: readonly HeadPoint[], look: object) => ({
    name,
    type: 'line',
    data: points.filter((point) => point.headM >= 0 && point.headM <= top).map(pair),
    showSymbol: false,
    silent: true,
    ...look,
  })
  const family = comparison.pumps.find(({ part }) => part.id === familyOf)?.family ?? []
  return {
    animation: false,
    textStyle: { fontFamily: 'Source Sans 3 Variable, sans-serif' },
    grid: { left: 46, right: 18, top: 30, bottom: 44 },
    ...axes(flow.label, head.label, colour),
    series: [
      ...family.map(({ speed, points }) =>
        line(`speed ${speed}`, points, {
          lineStyle: { color: colour('--glass'), width: 1, type: 'dashed' },
          endLabel: {
            show: true,
            formatter: `${Math.round(speed * 100)}%`,
            color: colour('--ink-soft'),
            fontSize: 11,
          },
        }),
      ),
      line('system', comparison.system, {
        lineStyle: { color: colour('--water-ink'), width: 3 },
      }),
      ...comparison.pumps.map((pump, n) => {
        const { colour: token, type } = strokeOf(n)
        return line(pump.part.name, pump.curve, {
          lineStyle: { color: colour(token), width: 2.2, type },
        })
      }),
      {
        name: 'duty points',
        type: 'scatter',
        silent: true,
        symbolSize: 12,
        z: 5,
        data: comparison.pumps
          .map((pump, n) => ({ pump, n }))
          .filter(({ pump }) => pump.solved.flowM3PerS > 0)
          .map(({ pump, n }) => ({
            value: pair(pump.solved),
            itemStyle: {
              color: colour('--sheet'),
              borderColor: colour(strokeOf(n).colour),
              borderWidth: 3,
            },
          })),
      },
    ],
  }
}
