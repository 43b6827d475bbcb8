import type { UnitFamily } from '../quantity/index.ts'
import type { InsideSizes, StartAnswers, StartKind } from './answers.ts'

const INCH_M = 0.0254
const inches = (...sizes: readonly [number, number, number]) => sizes.map((size) => size * INCH_M)

const of = ([lengthM, widthM, heightM]: readonly number[]): InsideSizes => ({
  lengthM: lengthM!,
  widthM: widthM!,
  heightM: heightM!,
})

/** What a tank, a stand and a sump are taken to be until the keeper says, m (choice). */
const USUAL = {
  metric: {
    tank: of([0.9, 0.45, 0.5]),
    sump: of([0.8, 0.35, 0.4]),
    standM: 0.8,
    behindM: 0.12,
  },
  us: {
    tank: of(inches(36, 18, 20)),
    sump: of(inches(30, 14, 16)),
    standM: 32 * INCH_M,
    behindM: 5 * INCH_M,
  },
} as const

/** Room between two tanks that stand side by side, m (choice). */
export const APART_M = 0.2
/** Water under the rim of a new tank, m (choice). */
export const UNDER_RIM_M = 0.04
/** Net volumes an hour where nothing is said of what lives there (choice). */
export const USUAL_TURNOVER_PER_H = 8

/** Sizes a keeper has not given. */
export const usualOf = (units: UnitFamily) => USUAL[units]

/** Tanks as they are commonly sold, inside sizes: plain figures, no maker's. */
export const COMMON_TANKS: Readonly<Record<UnitFamily, readonly InsideSizes[]>> = {
  metric: [
    [0.45, 0.45, 0.45],
    [0.6, 0.4, 0.4],
    [0.6, 0.6, 0.55],
    [0.8, 0.5, 0.5],
    [0.9, 0.45, 0.5],
    [0.9, 0.6, 0.55],
    [1.2, 0.5, 0.5],
    [1.2, 0.6, 0.6],
    [1.5, 0.6, 0.6],
    [1.8, 0.7, 0.6],
  ].map(of),
  us: [
    inches(18, 18, 18),
    inches(24, 12, 16),
    inches(24, 18, 20),
    inches(30, 18, 20),
    inches(36, 18, 20),
    inches(36, 24, 20),
    inches(48, 18, 20),
    inches(48, 24, 20),
    inches(60, 24, 24),
    inches(72, 24, 24),
  ].map(of),
}

/** What lives in a tank, and what is usual to send through its sump for it, net volumes an hour (choice). */
export const LIVES = [
  { value: 'fish', label: 'Fish, and corals that like it calm', perH: [4, 6], turnoverPerH: 5 },
  { value: 'soft', label: 'Soft and large-polyp corals', perH: [5, 8], turnoverPerH: 6 },
  { value: 'mixed', label: 'A bit of everything', perH: [6, 10], turnoverPerH: 8 },
  { value: 'stony', label: 'Mostly stony corals', perH: [8, 12], turnoverPerH: 10 },
] as const

/** What is aimed at of a range: its middle (choice). */
export const turnoverOfRange = (fromPerH: number, toPerH: number): number => (fromPerH + toPerH) / 2

/** A tank of a volume, as such tanks are mostly built: twice as long as deep, a little higher than deep. */
export function sizesOfVolume(volumeM3: number): InsideSizes {
  // L = 2 w, h = 1.1 w: V = 2.2 w³.
  const widthM = Math.cbrt(volumeM3 / 2.2)
  return { lengthM: 2 * widthM, widthM, heightM: volumeM3 / (2 * widthM * widthM) }
}

/** Outside sizes less a panel on either side, and one below. */
export function insideOf({ lengthM, widthM, heightM }: InsideSizes, panelM: number): InsideSizes {
  return {
    lengthM: lengthM - 2 * panelM,
    widthM: widthM - 2 * panelM,
    heightM: heightM - panelM,
  }
}

/** A tank's sizes as they were answered, or as they are assumed. */
export const tankSizes = ({ tanks, units }: StartAnswers, i: number): InsideSizes =>
  tanks[i]!.sizes ?? USUAL[units].tank

/** A stand's height as it was answered or is assumed. */
export const standOf = ({ standM, units }: StartAnswers): number => standM ?? USUAL[units].standM

/** The kinds, in the order they are offered. */
export const START_KINDS: readonly {
  readonly kind: StartKind
  readonly name: string
  readonly about: string
}[] = [
  {
    kind: 'over-sump',
    name: 'A tank over a sump',
    about: 'Water falls through drains into a sump below, and a pump brings it back.',
  },
  {
    kind: 'all-in-one',
    name: 'All in one',
    about: 'The chambers stand behind a wall of the tank itself.',
  },
  {
    kind: 'several',
    name: 'Several tanks on one sump',
    about: 'Each has its own overflow and drains; one pump feeds them all.',
  },
  {
    kind: 'pump-only',
    name: 'Only the pump’s flow',
    about: 'How much a pump gives at a lift through a run of pipe: three answers and you have it.',
  },
]
