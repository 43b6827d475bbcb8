import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import { zeros } from '../numeric/index.ts'
import { boreAreaM2 } from '../pipe/index.ts'
import type { Loss } from './loss.ts'

/** The legs of a tee, in this order wherever three numbers stand for them: two ends of its run, and its branch. */
export const TEE_LEGS = ['run1', 'run2', 'branch'] as const
/** A leg's place among a tee's three. */
export type TeeLeg = 0 | 1 | 2
/** The leg at the side. */
export const BRANCH: TeeLeg = 2

/** A tee's sizes made ready to be asked many times. */
export interface TeeLaw {
  readonly runBoreM: number
  /** K of all the water turning into the branch, and out of it (Gardel at q = 1). */
  readonly intoBranch: number
  readonly outOfBranch: number
  /** What the common leg's flow makes, and what the others lose by their shares of it, side by side: see `LAW_AT`. */
  readonly numbers: readonly number[]
}

/** A leg's loss (P + R/Re) V²/2g by a share s of the common flow: P = p0 + p1 s + p2 s², R = r0 + r1 s. */
interface LegLoss {
  readonly p0: number
  readonly p1: number
  readonly p2: number
  readonly r0: number
  readonly r1: number
}

/** A loss takes so many numbers side by side, in the order above. */
const LEG_ROOM = 5

/**
 * All that two legs may lose, and where each begins among them. Where an end of the run is the common
 * leg, by the branch's share (Gardel): the branch, the run's other end; both where the branch hardly
 * runs; that end where it does. Where the branch is the common leg, by the lesser run leg's share
 * (Idelchik): both; both where the lesser hardly runs.
 */
export const LEG_AT = {
  branch: 0,
  straight: LEG_ROOM,
  stillBranch: 2 * LEG_ROOM,
  pastStill: 3 * LEG_ROOM,
  intoStill: 4 * LEG_ROOM,
  lesser: 5 * LEG_ROOM,
  greater: 6 * LEG_ROOM,
  stillLesser: 7 * LEG_ROOM,
  besideStill: 8 * LEG_ROOM,
} as const
const LEGS = Object.keys(LEG_AT) as (keyof typeof LEG_AT)[]
type LegLosses = Readonly<Record<keyof typeof LEG_AT, LegLoss>>

/**
 * Where a law's numbers stand: V²/2g/Q² and V²/2g/(Re ν Q) of the run as the common leg, of the
 * branch; the legs' losses where the common leg's water divides, and where it is joined.
 */
export const LAW_AT = {
  run: 0,
  branch: 2,
  dividing: 4,
  joining: 4 + LEGS.length * LEG_ROOM,
} as const

function numbersOf(
  { runBoreM, branchBoreM }: { readonly runBoreM: number; readonly branchBoreM: number },
  dividing: LegLosses,
  joining: LegLosses,
): number[] {
  const numbers = zeros(LAW_AT.joining + LEGS.length * LEG_ROOM)
  setVelocity(numbers, LAW_AT.run, runBoreM)
  setVelocity(numbers, LAW_AT.branch, branchBoreM)
  for (const name of LEGS) {
    setLeg(numbers, LAW_AT.dividing + LEG_AT[name], dividing[name])
    setLeg(numbers, LAW_AT.joining + LEG_AT[name], joining[name])
  }
  return numbers
}

function setVelocity(numbers: number[], at: number, boreM: number): void {
  const areaM2 = boreAreaM2(boreM)
  const perFlow2 = 1 / (2 * GRAVITY_M_PER_S2 * areaM2 * areaM2)
  numbers[at] = perFlow2
  numbers[at + 1] = (perFlow2 * areaM2) / boreM
}

function setLeg(numbers: number[], at: number, { p0, p1, p2, r0, r1 }: LegLoss): void {
  numbers[at] = p0
  numbers[at + 1] = p1
  numbers[at + 2] = p2
  numbers[at + 3] = r0
  numbers[at + 4] = r1
}

/** Below this share of the common flow a leg hardly runs: K goes straight from its value at nil. */
export const HARDLY_RUNS = 0.05
/** Reynolds terms: straight on, turning, and into or out of a branch that hardly runs. */
const STRAIGHT_RE = 200
/** Reynolds term of water that turns in a tee. */
export const TURNING_RE = 500
const STILL_BRANCH_RE = 100
/** Straight on past a dry branch. */
const STRAIGHT_K = 0.03
/** The same as one fitting's loss on the run's bore. */
export const PAST_DRY_BRANCH: Loss = { km: STRAIGHT_RE, k: STRAIGHT_K }

/** Sharp edges, 90°: a tee of two bores (Gardel 1957; Idelchik, symmetric tee). */
export function teeLaw(runBoreM: number, branchBoreM: number): TeeLaw {
  const trueRatio = (branchBoreM / runBoreM) ** 2
  // At most 1: past it Gardel's joining formulas would make energy.
  const a = Math.min(1, trueRatio)
  const intoBranch = 1 + (0.4 - 0.1 * a) / (a * a)
  const outOfBranch = 0.4 + 0.8 / (a * a)
  const r2 = trueRatio * trueRatio
  // Where all the water turns between the branch and one run leg: on that leg's own head and Re.
  const dryRe = ((TURNING_RE * runBoreM) / branchBoreM) * r2
  const dividing = {
    // Into the branch 0.95 (1 − q)² + q² (1 + (0.4 − 0.1 a)/a²) + 0.4 q (1 − q)(1 + a)/a;
    // straight on 0.03 (1 − q)² + 0.35 q² − 0.2 q (1 − q).
    ...onRunLegs(inShares(0.95, intoBranch, (0.4 * (1 + a)) / a), inShares(STRAIGHT_K, 0.35, -0.2)),
    // 1 + 0.3 (s r)², r the branch's area over the run's.
    ...onBranchLegs(
      { p0: 1, p1: 0, p2: 0.3 * r2 },
      { p0: 1 + 0.3 * r2, p1: -0.6 * r2, p2: 0.3 * r2 },
      { dryK: outOfBranch * r2, dryRe },
    ),
  }
  const joining = {
    // From the branch −0.92 (1 − q)² + q² (1.2 − 0.8 (1 − 1/a²)) + (2 − a) q (1 − q);
    // straight on 0.03 (1 − q)² + q² (0.62 + 0.38 (1 − a)) + (2 − a) q (1 − q).
    ...onRunLegs(
      inShares(-0.92, outOfBranch, 2 - a),
      inShares(STRAIGHT_K, 0.62 + 0.38 * (1 - a), 2 - a),
    ),
    // 1 + r² + 3 r² (s² − s).
    ...onBranchLegs(
      { p0: 1 + r2, p1: -3 * r2, p2: 3 * r2 },
      { p0: 1 + r2, p1: -3 * r2, p2: 3 * r2 },
      { dryK: intoBranch * r2, dryRe },
    ),
  }
  const numbers = numbersOf({ runBoreM, branchBoreM }, dividing, joining)
  return { runBoreM, intoBranch, outOfBranch, numbers }
}

/** P alone. */
type Quadratic = Pick<LegLoss, 'p0' | 'p1' | 'p2'>

/** none (1 − q)² + all q² + both q (1 − q). */
function inShares(none: number, all: number, both: number): Quadratic {
  return { p0: none, p1: both - 2 * none, p2: none + all - both }
}

function at({ p0, p1, p2 }: Quadratic, q: number): number {
  return p0 + (p1 + p2 * q) * q
}

/** Below 5 % of the common flow a leg's K goes straight from its value at nil: past a dry branch, or as the common leg stands. */
function onRunLegs(branch: Quadratic, straight: Quadratic) {
  const rise = (at(straight, HARDLY_RUNS) - STRAIGHT_K) / HARDLY_RUNS
  const fall = at(straight, 1 - HARDLY_RUNS) / HARDLY_RUNS
  const fallRe = STRAIGHT_RE / HARDLY_RUNS
  const riseRe = (TURNING_RE - STILL_BRANCH_RE) / HARDLY_RUNS
  return {
    branch: { ...branch, r0: TURNING_RE, r1: 0 },
    straight: { ...straight, r0: STRAIGHT_RE, r1: 0 },
    stillBranch: { ...branch, r0: STILL_BRANCH_RE, r1: riseRe },
    pastStill: { p0: STRAIGHT_K, p1: rise, p2: 0, r0: STRAIGHT_RE, r1: 0 },
    intoStill: { p0: fall, p1: -fall, p2: 0, r0: fallRe, r1: -fallRe },
  }
}

/** At nil both run legs stand where all the water turns between the branch and the greater of them. */
function onBranchLegs(
  lesser: Quadratic,
  greater: Quadratic,
  { dryK, dryRe }: { readonly dryK: number; readonly dryRe: number },
) {
  const riseRe = (TURNING_RE - dryRe) / HARDLY_RUNS
  const fromDry = (leg: Quadratic): LegLoss => {
    const rise = (at(leg, HARDLY_RUNS) - dryK) / HARDLY_RUNS
    return { p0: dryK, p1: rise, p2: 0, r0: dryRe, r1: riseRe }
  }
  return {
    lesser: { ...lesser, r0: TURNING_RE, r1: 0 },
    greater: { ...greater, r0: TURNING_RE, r1: 0 },
    stillLesser: fromDry(lesser),
    besideStill: fromDry(greater),
  }
}
