import { brent } from '../numeric/brent.ts'
import { drownedShare, smoothRimFlow } from './smooth.ts'
import { toothedRimFlow } from './toothed.ts'

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

/** Flow over a rim at a head; `farHeadM` is the water on the far side over the same crest. */
export function rimFlow(rim: Rim, headM: number, farHeadM = 0): number {
  if (headM <= 0) return 0
  return freeFlow(rim, headM) * drownedShare(headM, farHeadM)
}

function freeFlow(rim: Rim, headM: number): number {
  const { depthBelowM, teeth } = rim
  const open = rim.guard?.openShare ?? 1
  if (!teeth) return smoothRimFlow({ lengthM: rim.lengthM * open, depthBelowM }, headM)
  return toothedRimFlow(
    {
      ...teeth,
      slotWidthM: teeth.slotWidthM * open,
      count: slotCount(rim.lengthM, teeth),
      depthBelowM,
      rimAboveM: rim.openAbove ? rim.lengthM : 0,
    },
    headM,
  )
}

/** Whole slots that fit a rim. */
export function slotCount(lengthM: number, teeth: Teeth): number {
  // A length that was typed as so many pitches may come out a hair short.
  return Math.floor(lengthM / teeth.pitchM + 1e-9)
}

/** No rim of a tank stands deeper in water than this. */
const MOST_HEAD_M = 2

/** Head over a rim that lets a flow pass; Infinity when none does. */
export function rimHeadM(rim: Rim, flowM3PerS: number, farHeadM = 0): number {
  if (flowM3PerS <= 0) return Math.max(0, farHeadM)
  const lowM = Math.max(0, farHeadM)
  const short = (headM: number) => rimFlow(rim, headM, farHeadM) - flowM3PerS
  let highM = lowM + 0.05
  while (short(highM) < 0) {
    if (highM > MOST_HEAD_M) return Infinity
    highM = lowM + (highM - lowM) * 2
  }
  const found = brent(short, lowM, highM, { tolerance: 1e-12 })
  return found.ok ? found.value : Infinity
}
