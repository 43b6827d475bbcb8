import type { ValueSlope } from '../numeric/index.ts'
import { effectiveHeadM, effectiveSlope, ROOT_2G, smoothRim } from './smooth.ts'

/** Slots between teeth. */
export interface Slots {
  readonly slotWidthM: number
  /** From one slot to the next. */
  readonly pitchM: number
  /** Height of the teeth. */
  readonly heightM: number
  readonly count: number
  /** Share of the slots that weed or a snail has shut, 0 to below 1; not rounded to whole slots. */
  readonly blockedShare: number
  readonly depthBelowM: number
  /** Smooth rim along the tops of the teeth; zero where a cover or the tank's rim stands there. */
  readonly rimAboveM: number
}

/** Cd = a + b h/P of a contracted rim by slot width over pitch (Kindsvater & Carter 1957). */
const CD: readonly (readonly [share: number, a: number, b: number])[] = [
  [0, 0.587, -0.0023],
  [0.2, 0.589, -0.0018],
  [0.4, 0.591, 0.0058],
  [0.5, 0.592, 0.011],
  [0.6, 0.593, 0.018],
  [0.7, 0.595, 0.03],
  [0.8, 0.597, 0.045],
  [0.9, 0.599, 0.064],
  [1, 0.602, 0.075],
]

/** Straight between the rows. */
export function slotCoefficients(share: number): { a: number; b: number } {
  let i = 0
  while (i < CD.length - 2 && share > CD[i + 1]![0]) i++
  const [s0, a0, b0] = CD[i]!
  const [s1, a1, b1] = CD[i + 1]!
  const t = (share - s0) / (s1 - s0)
  return { a: a0 + (a1 - a0) * t, b: b0 + (b1 - b0) * t }
}

/**
 * Flow through a toothed rim at a head over the slots' sills, and its slope. Each slot is a
 * contracted weir; above the teeth Q = ⅔ Cd √(2g) w [h^1.5 − (h − a)^1.5] a slot, and the smooth
 * rim along their tops joins in. The width correction is left out: unproven for narrow slots, and
 * safe.
 */
export function toothedRim(slots: Slots) {
  const { slotWidthM, heightM, depthBelowM, rimAboveM, count, blockedShare } = slots
  const { a, b } = slotCoefficients(slotWidthM / slots.pitchM)
  const cdSlope = b / depthBelowM
  const perCd = (2 / 3) * ROOT_2G * slotWidthM * count * (1 - blockedShare)
  const above = smoothRim({ lengthM: rimAboveM, depthBelowM: depthBelowM + heightM })
  return (headM: number, into: ValueSlope): void => {
    const overM = Math.max(0, headM - heightM)
    above(overM, into)
    if (headM <= 0) return
    const cd = a + cdSlope * headM
    const head = effectiveHeadM(headM)
    const root = Math.sqrt(head)
    const overRoot = Math.sqrt(overM)
    const section = head * root - overM * overRoot
    into.value += perCd * cd * section
    into.slope += perCd * (cdSlope * section + 1.5 * cd * (root * effectiveSlope(headM) - overRoot))
  }
}
