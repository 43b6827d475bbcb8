import {
  fromSi,
  QUANTITIES,
  removalCurve,
  type DoseTarget,
  type UnitFamily,
  type Solved,
  type SolvedBasin,
} from '@yew-basin/core'
import { axis, type Palette } from '../pumps/duty-chart.ts'

/** Flows on either side of the branch's own that the chart shows. */
const DOWN = 12
const UP = 8
const POINTS = 81

/** What the chart of a lamp is drawn from. */
export interface Lit {
  readonly lit: Solved<'sterilizer'>
  readonly water: Pick<SolvedBasin['treatment']['load'], 'displayM3' | 'sumpM3'>
  readonly targets: readonly DoseTarget[]
  readonly target: DoseTarget
}

/** Round the branch's flow; where it has none, round the flow that meets the target. */
export function flowRange({ lit, target }: Lit) {
  const middle = lit.flowM3PerS > 0 ? lit.flowM3PerS : lit.doseFlow / target.mostJPerM2
  return { fromM3PerS: middle / DOWN, toM3PerS: middle * UP, points: POINTS }
}

/** Dose and removal against flow, each target's zone to the left of where it is met, and the branch's own flow. */
export function doseChart(lit: Lit, family: UnitFamily, colour: Palette): Record<string, unknown> {
  const range = flowRange(lit)
  const flow = (si: number) => fromSi(QUANTITIES.flow.shown[family], si)
  const dose = (si: number) => fromSi(QUANTITIES.dose.shown[family], si)
  const rate = (si: number) => fromSi(QUANTITIES.rate.shown[family], si)
  const curve = removalCurve(lit.target, lit.lit, lit.water, range)
  const least = curve.at(-1)!.doseJPerM2
  const line = (name: string, data: number[][], more: object) => ({
    name,
    type: 'line',
    data,
    showSymbol: false,
    silent: true,
    ...more,
  })
  return {
    animation: false,
    textStyle: { fontFamily: 'Source Sans 3 Variable, sans-serif' },
    grid: { left: 44, right: 48, top: 28, bottom: 40 },
    ...axes(range, least, family, colour),
    series: [
      ...lit.targets.map((target) => {
        const here = target.id === lit.target.id
        const edge = Math.min(range.toM3PerS, lit.lit.doseFlow / target.mostJPerM2)
        const met = edge > range.fromM3PerS
        return line(
          target.organism,
          met
            ? [
                [flow(range.fromM3PerS), dose(target.mostJPerM2)],
                [flow(edge), dose(target.mostJPerM2)],
                [flow(edge), dose(least)],
              ]
            : [],
          {
            lineStyle: {
              color: colour(here ? '--lichen-mark' : '--rule'),
              width: here ? 1.6 : 1.2,
              type: 'dashed',
            },
            ...(here ? { areaStyle: { color: colour('--lichen-mark'), opacity: 0.14 } } : {}),
          },
        )
      }),
      line(
        'dose',
        curve.map((point) => [flow(point.flowM3PerS), dose(point.doseJPerM2)]),
        { lineStyle: { color: colour('--needle'), width: 2.2 } },
      ),
      line(
        'removal',
        curve.map((point) => [flow(point.flowM3PerS), rate(point.removalPerS)]),
        { yAxisIndex: 1, lineStyle: { color: colour('--water-ink'), width: 2.2, type: [7, 4] } },
      ),
      ...branch(lit, { flow, dose, rate }, colour),
    ],
  }
}

type ToShown = (si: number) => number

function branch(
  { lit, target }: Lit,
  { flow, dose, rate }: { flow: ToShown; dose: ToShown; rate: ToShown },
  colour: Palette,
) {
  const against = lit.targets.find(({ targetId }) => targetId === target.id)
  if (lit.doseJPerM2 === null || !against) return []
  const mark = (yAxisIndex: number, y: number, token: string) => ({
    name: 'this branch',
    type: 'scatter',
    silent: true,
    symbolSize: 11,
    yAxisIndex,
    data: [[flow(lit.flowM3PerS), y]],
    itemStyle: { color: colour(token), borderColor: colour('--sheet'), borderWidth: 2 },
  })
  return [
    mark(0, dose(lit.doseJPerM2), '--needle'),
    mark(1, rate(against.removalPerS), '--water-ink'),
  ]
}

function axes(
  { fromM3PerS, toM3PerS }: { fromM3PerS: number; toM3PerS: number },
  leastJPerM2: number,
  family: UnitFamily,
  colour: Palette,
) {
  const ink = colour('--ink-soft')
  const flow = QUANTITIES.flow.shown[family]
  const dose = QUANTITIES.dose.shown[family]
  const rate = QUANTITIES.rate.shown[family]
  const named = (name: string, align: 'left' | 'right', padding: number[]) => ({
    name,
    nameTextStyle: { color: ink, fontSize: 12, align, padding },
  })
  return {
    xAxis: {
      ...axis(colour),
      type: 'log',
      min: fromSi(flow, fromM3PerS),
      max: fromSi(flow, toM3PerS),
      axisLabel: { color: ink, fontSize: 12, formatter: (shown: number) => `${Math.round(shown)}` },
      name: `flow, ${flow.label}`,
      nameLocation: 'middle',
      nameGap: 24,
    },
    yAxis: [
      {
        ...axis(colour),
        type: 'log',
        min: fromSi(dose, leastJPerM2),
        ...named(`dose, ${dose.label}`, 'left', [0, 0, 0, -36]),
        axisLabel: {
          color: ink,
          fontSize: 12,
          formatter: (shown: number) => (shown < 10 ? shown.toFixed(1) : `${Math.round(shown)}`),
        },
      },
      {
        ...axis(colour),
        splitLine: { show: false },
        ...named(`removal, ${rate.label}`, 'right', [0, -40, 0, 0]),
      },
    ],
  }
}
