import { brent, risingRoot, type ValueSlope } from '../numeric/index.ts'
import { drownedShare, smoothRim } from './smooth.ts'
import { toothedRim } from './toothed.ts'

/** The teeth of a rim, as they are cut. */
export interface Teeth {
  readonly slotWidthM: number
  readonly pitchM: number
  readonly heightM: number
  readonly blockedShare: number
}

/** A mesh or comb that keeps animals out of an overflow. */
export interface Guard {
  /** Share of the width that is open. */
  readonly openShare: number
  /** The smallest opening in it. */
  readonly leastOpeningM: number
}

/** An overflow's rim as the water meets it; heads count from its crest: the rim, or the slots' sills. */
export interface Rim {
  readonly lengthM: number
  /** Water below the crest on the tank's side. */
  readonly depthBelowM: number
  /** null: smooth. */
  readonly teeth: Teeth | null
  readonly guard: Guard | null
  /** The tops of the teeth are open to the air above them. */
  readonly openAbove: boolean
}

/** Flow over a rim at a head, and how fast it rises with the head. */
export type RimLaw = (headM: number, into: ValueSlope) => void

/** A rim made ready to be asked many times. */
export function rimLaw({ lengthM, depthBelowM, teeth, guard, openAbove }: Rim): RimLaw {
  const open = guard?.openShare ?? 1
  if (!teeth) return smoothRim({ lengthM: lengthM * open, depthBelowM })
  return toothedRim({
    slotWidthM: teeth.slotWidthM * open,
    pitchM: teeth.pitchM,
    heightM: teeth.heightM,
    blockedShare: teeth.blockedShare,
    count: slotCount(lengthM, teeth),
    depthBelowM,
    rimAboveM: openAbove ? lengthM : 0,
  })
}

const AT: ValueSlope = { value: 0, slope: 0 }

/** Flow at a head; `farHeadM` is the water on the far side over the same crest. */
export function flowOver(law: RimLaw, headM: number, farHeadM = 0): number {
  if (headM <= 0) return 0
  law(headM, AT)
  return AT.value * drownedShare(headM, farHeadM)
}

/** The same for a rim that is asked once. */
export function rimFlow(rim: Rim, headM: number, farHeadM = 0): number {
  return flowOver(rimLaw(rim), headM, farHeadM)
}

/** Whole slots that fit a rim. */
export function slotCount(lengthM: number, teeth: Teeth): number {
  // A length that was typed as so many pitches may come out a hair short.
  return Math.floor(lengthM / teeth.pitchM + 1e-9)
}

/** No rim of a tank stands deeper in water than this. */
const MOST_HEAD_M = 2

/** Head over a rim that lets a flow pass; Infinity when none does. */
export function headOver(law: RimLaw, flowM3PerS: number, farHeadM = 0): number {
  if (flowM3PerS <= 0) return Math.max(0, farHeadM)
  const { x: freeM } = risingRoot(law, flowM3PerS, {
    low: 0,
    guess: 0.01,
    most: MOST_HEAD_M,
    tolerance: 1e-8,
  })
  return farHeadM <= 0 ? freeM : drownedHeadM(law, flowM3PerS, farHeadM)
}

/** The share that a drowned rim keeps has a corner where the far side meets it: a bracket is safer there. */
function drownedHeadM(law: RimLaw, flowM3PerS: number, farHeadM: number): number {
  const short = (headM: number) => flowOver(law, headM, farHeadM) - flowM3PerS
  let highM = farHeadM + 0.05
  while (short(highM) < 0) {
    if (highM > farHeadM + MOST_HEAD_M) return Infinity
    highM = farHeadM + (highM - farHeadM) * 2
  }
  const found = brent(short, farHeadM, highM, { tolerance: 1e-12 })
  return found.ok ? found.value : Infinity
}

/** The same for a rim that is asked once. */
export function rimHeadM(rim: Rim, flowM3PerS: number, farHeadM = 0): number {
  return headOver(rimLaw(rim), flowM3PerS, farHeadM)
}
