/** A family of pipe or hose whose sizes share a standard. */
export type PipeSeries =
  'schedule-40' | 'schedule-80' | 'pn-16' | 'pn-10' | 'smooth-hose' | 'braided-hose' | 'ribbed-hose'

/** One size of a series, as its standard gives it. */
export interface SeriesSize {
  /** The size as it is asked for in a shop: "1 1/4", "32", "19". */
  readonly size: string
  readonly boreM: number
  /** Outside diameter; hose has none here. */
  readonly outsideM: number | null
  /** Trade size in inches, for the 3-K method. */
  readonly tradeSizeIn: number
}

const INCH_M = 0.0254
const MM_M = 0.001

/** [size, outside diameter, least wall] in inches, ASTM D1785. */
const SCHEDULE_40 = [
  ['1/2', 0.84, 0.109],
  ['3/4', 1.05, 0.113],
  ['1', 1.315, 0.133],
  ['1 1/4', 1.66, 0.14],
  ['1 1/2', 1.9, 0.145],
  ['2', 2.375, 0.154],
  ['3', 3.5, 0.216],
] as const
const SCHEDULE_80 = [
  ['1/2', 0.84, 0.147],
  ['3/4', 1.05, 0.154],
  ['1', 1.315, 0.179],
  ['1 1/4', 1.66, 0.191],
  ['1 1/2', 1.9, 0.2],
  ['2', 2.375, 0.218],
  ['3', 3.5, 0.3],
] as const
/** [outside diameter, wall] in mm, EN ISO 1452. PN 10 starts at 32: below, the walls are PN 16's. */
const PN_16 = [
  [20, 1.5],
  [25, 1.9],
  [32, 2.4],
  [40, 3],
  [50, 3.7],
  [63, 4.7],
] as const
const PN_10 = [
  [20, 1.5],
  [25, 1.9],
  [32, 1.6],
  [40, 1.9],
  [50, 2.4],
  [63, 3],
] as const
/**
 * Both standards give least walls, so the bore of a real pipe is the mean of what they allow: half
 * the wall's tolerance on each side, in inches for schedule pipe (and for its 3 in size); the mean
 * outside diameter over its least, in mm, for metric.
 */
const INCH_OVER = 0.02
const INCH_OVER_3 = 0.026
const METRIC_OVER = 0.1
/** Trade inches that count for metric outside diameters (hydraulics reference, §3). */
const METRIC_TRADE_IN: Readonly<Record<number, number>> = {
  20: 0.5,
  25: 0.75,
  32: 1,
  40: 1.25,
  50: 1.5,
  63: 2,
}
const HOSE_MM = [10, 12, 13, 16, 19, 20, 25, 32, 38, 40, 50] as const
const HOSE_IN = ['3/8', '1/2', '5/8', '3/4', '1', '1 1/4', '1 1/2', '2'] as const

/** "1 1/4" → 1.25. */
function inchesOf(size: string): number {
  return size.split(' ').reduce((sum, part) => {
    const [over, under = '1'] = part.split('/')
    return sum + Number(over) / Number(under)
  }, 0)
}

function inchPipe(rows: readonly (readonly [string, number, number])[]): SeriesSize[] {
  return rows.map(([size, outsideIn, wallIn]) => ({
    size,
    boreM: (outsideIn - 2 * wallIn - (size === '3' ? INCH_OVER_3 : INCH_OVER)) * INCH_M,
    outsideM: outsideIn * INCH_M,
    tradeSizeIn: inchesOf(size),
  }))
}

function metricPipe(rows: readonly (readonly [number, number])[]): SeriesSize[] {
  return rows.map(([outsideMm, wallMm]) => ({
    size: String(outsideMm),
    boreM: (outsideMm + METRIC_OVER - 2 * (wallMm + (0.1 * wallMm + 0.2) / 2)) * MM_M,
    outsideM: outsideMm * MM_M,
    tradeSizeIn: METRIC_TRADE_IN[outsideMm]!,
  }))
}

/** Hose by its true inside diameter; its bore in inches is its trade size. */
function hose(): SeriesSize[] {
  const metric = HOSE_MM.map((mm) => hoseSize(String(mm), mm * MM_M))
  const inches = HOSE_IN.map((size) => hoseSize(`${size} in`, inchesOf(size) * INCH_M))
  return [...metric, ...inches].sort((a, b) => a.boreM - b.boreM)
}

function hoseSize(size: string, boreM: number): SeriesSize {
  return { size, boreM, outsideM: null, tradeSizeIn: boreM / INCH_M }
}

/** Every size of every series, smallest bore first. */
export const SERIES_SIZES: Readonly<Record<PipeSeries, readonly SeriesSize[]>> = {
  'schedule-40': inchPipe(SCHEDULE_40),
  'schedule-80': inchPipe(SCHEDULE_80),
  'pn-16': metricPipe(PN_16),
  'pn-10': metricPipe(PN_10),
  'smooth-hose': hose(),
  'braided-hose': hose(),
  'ribbed-hose': hose(),
}

/** Every series of pipe and hose, as they are offered. */
export const PIPE_SERIES = Object.keys(SERIES_SIZES) as readonly PipeSeries[]

/** Does this series bend by hand? */
export function isHose(series: PipeSeries): boolean {
  return series === 'smooth-hose' || series === 'braided-hose' || series === 'ribbed-hose'
}

/** "schedule-40" → "schedule 40". */
export function seriesWords(series: PipeSeries): string {
  return series.replace('-', ' ')
}
