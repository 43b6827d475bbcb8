import { memoize } from '../numeric/index.ts'
import {
  isHose,
  PIPE_SERIES,
  type PipeSeries,
  SERIES_SIZES,
  type SeriesSize,
  seriesWords,
} from './series.ts'

/** A pipe or hose as the keeper names it. */
export interface PipeSize {
  readonly series: PipeSeries
  /** A size the series has: "1 1/4", "32", "19". */
  readonly size: string
  /** The bore the keeper measured or the maker prints; null: the standard's. */
  readonly boreM: number | null
}

/** New drawn plastic pipe, smooth and braided hose, m (hydraulics reference, §2). */
export const NEW_ROUGHNESS_M = 1.5e-6
/** The same after months of biofilm (between 5e-5 and 3e-4), m. */
export const AGED_ROUGHNESS_M = 1.5e-4

/** Ribbed hose: factor on f at every Re. Published measurements run from 1.5 to 3 (choice: 2). */
export const RIBBED_FACTOR = 2

/** The row of the standard, or null when the series has no such size. */
export function seriesSize({ series, size }: Pick<PipeSize, 'series' | 'size'>): SeriesSize | null {
  return ROWS[series].get(size) ?? null
}

const ROWS = Object.fromEntries(
  PIPE_SERIES.map((series) => [
    series,
    new Map(SERIES_SIZES[series].map((row) => [row.size, row] as const)),
  ]),
) as unknown as Readonly<Record<PipeSeries, ReadonlyMap<string, SeriesSize>>>

/** Bore and trade size of a pipe; throws on a size the series does not have (the contract refuses it first). */
export function boreOf(pipe: PipeSize): { boreM: number; tradeSizeIn: number } {
  const row = seriesSize(pipe)
  if (!row) throw new RangeError(`${pipe.series} has no size ${pipe.size}`)
  return { boreM: pipe.boreM ?? row.boreM, tradeSizeIn: row.tradeSizeIn }
}

/** "1″ schedule 40", "25 mm pn 16", "1/2″ smooth hose". */
export const sizeWords = memoize(({ series, size }: Pick<PipeSize, 'series' | 'size'>): string => {
  const shown = measureOf({ series, size }) === 'in' ? `${size.replace(/ in$/, '')}″` : `${size} mm`
  return `${shown} ${seriesWords(series)}`
})

/** What a size is measured in at the shop. */
export type Measure = 'in' | 'mm'

/** Does the shop measure it in inches? */
export function measureOf({ series, size }: Pick<PipeSize, 'series' | 'size'>): Measure {
  if (isHose(series)) return size.endsWith(' in') ? 'in' : 'mm'
  return series === 'schedule-40' || series === 'schedule-80' ? 'in' : 'mm'
}

/** A series' sizes in one measure; a series of pipe has but its own. */
export function sizesIn(series: PipeSeries, measure: Measure): readonly SeriesSize[] {
  const sizes = SERIES_SIZES[series]
  return isHose(series)
    ? sizes.filter(({ size }) => measureOf({ series, size }) === measure)
    : sizes
}

/** The next size up of the same series and measure by the standard's bore; null at the top. */
export function nextSizeUp(pipe: PipeSize): PipeSize | null {
  const row = seriesSize(pipe)
  const larger = sizesIn(pipe.series, measureOf(pipe)).find(
    (other) => row && other.boreM > row.boreM * 1.02,
  )
  return larger ? { series: pipe.series, size: larger.size, boreM: null } : null
}

/** The next smaller size of its series; null where there is none. */
export function nextSizeDown(pipe: PipeSize): PipeSize | null {
  const row = seriesSize(pipe)
  const smaller = sizesIn(pipe.series, measureOf(pipe)).findLast(
    (other) => row && other.boreM < row.boreM / 1.02,
  )
  return smaller ? { series: pipe.series, size: smaller.size, boreM: null } : null
}

/** The size of a series whose bore is nearest to the wanted one, in the measure of what it goes with. */
export function nearestSize(series: PipeSeries, boreM: number, measure: Measure): PipeSize {
  const nearest = sizesIn(series, measure).reduce((best, row) =>
    Math.abs(row.boreM - boreM) < Math.abs(best.boreM - boreM) ? row : best,
  )
  return { series, size: nearest.size, boreM: null }
}

/** The same size: the same pipe in the hand, whatever bore was measured. */
export function sameSize(a: PipeSize, b: PipeSize): boolean {
  return a.series === b.series && a.size === b.size && a.boreM === b.boreM
}
