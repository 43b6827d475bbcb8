import {
  fromSi,
  QUANTITIES,
  say,
  type BasinDesign,
  type Playback,
  type UnitFamily,
  logWords,
} from '@yew-basin/core'
import { axis, type Palette } from '../pumps/duty-chart.ts'

/** The chart's frame, px: the cursor that lies over it keeps to it. */
export const FRAME = { left: 52, right: 56, top: 26, bottom: 34 }
/** Time runs on a logarithm, from here on, s: most happens in the first minute. */
export const FIRST_S = 0.1

/** A level that is drawn: how far it moved from where it runs. */
export interface DrawnLevel {
  readonly name: string
  readonly column: number
  readonly colour: string
  readonly dash: string
}

const LOOKS = [
  ['--water-ink', 'solid'],
  ['--needle', 'dashed'],
  ['--resin-mark', 'solid'],
  ['--aril-mark', 'dashed'],
  ['--lichen-mark', 'solid'],
] as const

/** Tanks, their boxes, and the chamber the pump draws from. */
export function drawnLevels(
  { tanks, sump }: BasinDesign,
  { vesselIds }: Playback,
  returnChamberId: string,
): DrawnLevel[] {
  const named = [
    ...tanks.map(({ id, name }) => ({ id, name })),
    ...tanks.map(({ id, name }) => ({
      id: `box ${id}`,
      name: tanks.length > 1 ? `box of ${name}` : 'overflow box',
    })),
    ...sump.chambers.filter(({ id }) => id === returnChamberId),
  ]
  return named
    .map(({ id, name }) => ({ name, column: vesselIds.indexOf(id) }))
    .filter(({ column }) => column >= 0)
    .map(({ name, column }, i) => {
      const [colour, dash] = LOOKS[i % LOOKS.length]!
      return { name, column, colour, dash }
    })
}

/** Share of the frame's width at which a time stands. */
export function shareOfTime(timeS: number, endS: number): number {
  const last = Math.log(Math.max(endS, FIRST_S * 10) / FIRST_S)
  return Math.min(1, Math.max(0, Math.log(Math.max(timeS, FIRST_S) / FIRST_S) / last))
}

export function timeOfShare(share: number, endS: number): number {
  if (share <= 0) return 0
  return FIRST_S * (Math.max(endS, FIRST_S * 10) / FIRST_S) ** Math.min(1, share)
}

/** Levels against where they run, and what comes into the tanks, over time, with what happened marked. */
export function drillChart(
  design: BasinDesign,
  playback: Playback,
  levels: readonly DrawnLevel[],
  { family, tankLinks }: { family: UnitFamily; tankLinks: readonly number[] },
  colour: Palette,
): Record<string, unknown> {
  const length = QUANTITIES.length.shown[family]
  const flow = QUANTITIES.flow.shown[family]
  const { timesS, levelsM, vesselIds, returnFlows, links, drainFlows, drains, log } = playback
  const x = (i: number) => Math.max(FIRST_S, timesS[i]!)
  const points = (of: (i: number) => number) => [...timesS].map((_, i) => [x(i), of(i)])
  const sum = (packed: Float64Array, columns: number, row: number, which: readonly number[]) =>
    which.reduce((total, column) => total + packed[row * columns + column]!, 0)
  const all = Array.from({ length: drains }, (_, i) => i)
  const line = (name: string, data: number[][], look: object) => ({
    name,
    type: 'line',
    data,
    showSymbol: false,
    silent: true,
    ...look,
  })
  const ink = colour('--ink-soft')
  return {
    animation: false,
    textStyle: { fontFamily: 'Source Sans 3 Variable, sans-serif' },
    grid: FRAME,
    xAxis: {
      type: 'log',
      min: FIRST_S,
      max: Math.max(timesS.at(-1)!, FIRST_S * 10),
      axisLine: { lineStyle: { color: ink } },
      axisLabel: { color: ink, fontSize: 12, formatter: timeWords },
      splitLine: { lineStyle: { color: colour('--rule') } },
    },
    yAxis: [
      {
        ...axis(colour),
        min: null,
        scale: true,
        name: `level against running, ${length.label}`,
        nameTextStyle: { color: ink, fontSize: 12, align: 'left', padding: [0, 0, 0, -46] },
      },
      {
        ...axis(colour),
        name: `flow, ${flow.label}`,
        splitLine: { show: false },
        nameTextStyle: { color: ink, fontSize: 12, align: 'right', padding: [0, -50, 0, 0] },
      },
    ],
    series: [
      ...levels.map(({ name, column, colour: token, dash }) =>
        line(
          name,
          points((i) => fromSi(length, levelsM[i * vesselIds.length + column]! - levelsM[column]!)),
          { lineStyle: { color: colour(token), width: 2, type: dash } },
        ),
      ),
      line(
        'into the tanks',
        points((i) => fromSi(flow, sum(returnFlows, links, i, tankLinks))),
        {
          yAxisIndex: 1,
          lineStyle: { color: colour('--glass'), width: 1.6, type: 'dotted' },
        },
      ),
      line(
        'down the drains',
        points((i) => fromSi(flow, sum(drainFlows, drains, i, all))),
        {
          yAxisIndex: 1,
          lineStyle: { color: colour('--ink-soft'), width: 1.2, type: 'dashed' },
        },
      ),
      {
        name: 'what happened',
        type: 'scatter',
        silent: true,
        symbol: 'diamond',
        symbolSize: 9,
        yAxisIndex: 1,
        itemStyle: { color: colour('--aril-mark') },
        data: log.map((entry) => ({
          name: say(logWords(design, entry), family),
          value: [Math.max(FIRST_S, entry.atS), 0],
        })),
      },
    ],
  }
}

/** "5 s", "2 min", "1 h", "3 d". */
export function timeWords(timeS: number): string {
  if (timeS < 60) return `${timeS < 1 ? timeS.toFixed(1) : Math.round(timeS)} s`
  if (timeS < 3600) return `${Math.round(timeS / 60)} min`
  return timeS < 86_400 ? `${Math.round(timeS / 3600)} h` : `${Math.round(timeS / 86_400)} d`
}
