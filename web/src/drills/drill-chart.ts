import {
  fromSi,
  QUANTITIES,
  say,
  type BasinDesign,
  type Playback,
  type UnitFamily,
  logWords,
  placeOfVessel,
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
  { vessels }: Playback,
  returnChamberId: string,
): DrawnLevel[] {
  const named = [
    ...tanks.map(({ id, name }) => ({ kind: 'tank' as const, id, name })),
    ...tanks.map(({ id, name }) => ({
      kind: 'box' as const,
      id,
      name: tanks.length > 1 ? `box of ${name}` : 'overflow box',
    })),
    ...sump.chambers
      .filter(({ id }) => id === returnChamberId)
      .map(({ id, name }) => ({ kind: 'chamber' as const, id, name })),
  ]
  return named
    .map(({ kind, id, name }) => ({ name, column: placeOfVessel(vessels, kind, id) }))
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

/** What the chart is drawn in. */
export interface ChartLook {
  readonly family: UnitFamily
  /** The links that give into tanks. */
  readonly tankLinks: readonly number[]
}

/** Levels against where they run, and what comes into the tanks, over time, with what happened marked. */
export function drillChart(
  design: BasinDesign,
  playback: Playback,
  {
    levels,
    look,
    colour,
  }: { readonly levels: readonly DrawnLevel[]; readonly look: ChartLook; readonly colour: Palette },
): Record<string, unknown> {
  return {
    animation: false,
    textStyle: { fontFamily: 'Source Sans 3 Variable, sans-serif' },
    grid: FRAME,
    ...timeAxes(playback, look.family, colour),
    series: [
      ...levelLines(playback, levels, look.family, colour),
      ...flowLines(playback, look, colour),
      events(design, playback, look.family, colour),
    ],
  }
}

function timeAxes({ timesS }: Playback, family: UnitFamily, colour: Palette) {
  const ink = colour('--ink-soft')
  const name = (text: string, align: 'left' | 'right', padding: number[]) => ({
    name: text,
    nameTextStyle: { color: ink, fontSize: 12, align, padding },
  })
  return {
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
        ...name(
          `level against running, ${QUANTITIES.length.shown[family].label}`,
          'left',
          [0, 0, 0, -46],
        ),
      },
      {
        ...axis(colour),
        splitLine: { show: false },
        ...name(`flow, ${QUANTITIES.flow.shown[family].label}`, 'right', [0, -50, 0, 0]),
      },
    ],
  }
}

/** A line over the drill's moments. */
function overTime(
  { timesS }: Playback,
  name: string,
  of: (moment: number) => number,
  look: object,
) {
  return {
    name,
    type: 'line',
    data: [...timesS].map((timeS, i) => [Math.max(FIRST_S, timeS), of(i)]),
    showSymbol: false,
    silent: true,
    ...look,
  }
}

function levelLines(
  playback: Playback,
  levels: readonly DrawnLevel[],
  family: UnitFamily,
  colour: Palette,
) {
  const { levelsM, vessels } = playback
  const length = QUANTITIES.length.shown[family]
  return levels.map(({ name, column, colour: token, dash }) =>
    overTime(
      playback,
      name,
      (i) => fromSi(length, levelsM[i * vessels.length + column]! - levelsM[column]!),
      { lineStyle: { color: colour(token), width: 2, type: dash } },
    ),
  )
}

function flowLines(playback: Playback, { family, tankLinks }: ChartLook, colour: Palette) {
  const { returnFlows, links, drainFlows, drains } = playback
  const flow = QUANTITIES.flow.shown[family]
  const all = Array.from({ length: drains }, (_, i) => i)
  const sum = (packed: Float64Array, columns: number, which: readonly number[]) => (row: number) =>
    fromSi(
      flow,
      which.reduce((total, column) => total + packed[row * columns + column]!, 0),
    )
  const look = (token: string, width: number, type: string) => ({
    yAxisIndex: 1,
    lineStyle: { color: colour(token), width, type },
  })
  return [
    overTime(
      playback,
      'into the tanks',
      sum(returnFlows, links, tankLinks),
      look('--glass', 1.6, 'dotted'),
    ),
    overTime(
      playback,
      'down the drains',
      sum(drainFlows, drains, all),
      look('--ink-soft', 1.2, 'dashed'),
    ),
  ]
}

function events(design: BasinDesign, { log }: Playback, family: UnitFamily, colour: Palette) {
  return {
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
  }
}

/** "5 s", "2 min", "1 h", "3 d". */
export function timeWords(timeS: number): string {
  if (timeS < 60) return `${timeS < 1 ? timeS.toFixed(1) : Math.round(timeS)} s`
  if (timeS < 3600) return `${Math.round(timeS / 60)} min`
  return timeS < 86_400 ? `${Math.round(timeS / 3600)} h` : `${Math.round(timeS / 86_400)} d`
}
