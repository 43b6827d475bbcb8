import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
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
  readonly branchBoreM: number
  /** (D branch/D run)², at most 1: past it Gardel's joining formulas would make energy. */
  readonly areaRatio: number
  /** (D branch/D run)² as it is. */
  readonly trueRatio: number
  /** K of all the water turning into the branch, and out of it (Gardel at q = 1). */
  readonly intoBranch: number
  readonly outOfBranch: number
  /** Gardel's K where an end of the run is the common leg, by the branch's share. */
  readonly dividing: GardelKs
  readonly joining: GardelKs
  /** Where the common leg is the run, and where it is the branch. */
  readonly onRun: TeeVelocity
  readonly onBranch: TeeVelocity
}

/** P = c0 + c1 q + c2 q² of a leg, q the branch's share of the common flow. */
interface Quadratic {
  readonly c0: number
  readonly c1: number
  readonly c2: number
}

/** Of the branch and of the run's other end; of this end also where the branch, or it, hardly runs. */
interface GardelKs {
  readonly branch: Quadratic
  readonly straight: Quadratic
  readonly pastStill: Quadratic
  readonly intoStill: Quadratic
}

/** What a flow makes in a leg. */
interface TeeVelocity {
  /** V²/2g = this × Q². */
  readonly perFlow2: number
  /** V²/2g/Re = this × ν Q. */
  readonly perRe: number
}

function velocityIn(boreM: number): TeeVelocity {
  const areaM2 = (Math.PI / 4) * boreM * boreM
  const perFlow2 = 1 / (2 * GRAVITY_M_PER_S2 * areaM2 * areaM2)
  return { perFlow2, perRe: (perFlow2 * areaM2) / boreM }
}

/** Gardel 1957, sharp edges, 90°: a tee of two bores. */
export function teeLaw(runBoreM: number, branchBoreM: number): TeeLaw {
  const trueRatio = (branchBoreM / runBoreM) ** 2
  const a = Math.min(1, trueRatio)
  const intoBranch = 1 + (0.4 - 0.1 * a) / (a * a)
  const outOfBranch = 0.4 + 0.8 / (a * a)
  return {
    runBoreM,
    branchBoreM,
    areaRatio: a,
    trueRatio,
    intoBranch,
    outOfBranch,
    // Into the branch 0.95 (1 − q)² + q² (1 + (0.4 − 0.1 a)/a²) + 0.4 q (1 − q)(1 + a)/a;
    // straight on 0.03 (1 − q)² + 0.35 q² − 0.2 q (1 − q).
    dividing: gardelKs(
      inShares(0.95, intoBranch, (0.4 * (1 + a)) / a),
      inShares(STRAIGHT_K, 0.35, -0.2),
    ),
    // From the branch −0.92 (1 − q)² + q² (1.2 − 0.8 (1 − 1/a²)) + (2 − a) q (1 − q);
    // straight on 0.03 (1 − q)² + q² (0.62 + 0.38 (1 − a)) + (2 − a) q (1 − q).
    joining: gardelKs(
      inShares(-0.92, outOfBranch, 2 - a),
      inShares(STRAIGHT_K, 0.62 + 0.38 * (1 - a), 2 - a),
    ),
    onRun: velocityIn(runBoreM),
    onBranch: velocityIn(branchBoreM),
  }
}

/** none (1 − q)² + all q² + both q (1 − q). */
function inShares(none: number, all: number, both: number): Quadratic {
  return { c0: none, c1: both - 2 * none, c2: none + all - both }
}

/** Below 5 % of the common flow a leg's K goes straight from its value at nil: past a dry branch, or as the common leg stands. */
function gardelKs(branch: Quadratic, straight: Quadratic): GardelKs {
  const rise = (at(straight, HARDLY_RUNS) - STRAIGHT_K) / HARDLY_RUNS
  const fall = at(straight, 1 - HARDLY_RUNS) / HARDLY_RUNS
  return {
    branch,
    straight,
    pastStill: { c0: STRAIGHT_K, c1: rise, c2: 0 },
    intoStill: { c0: fall, c1: -fall, c2: 0 },
  }
}

function at({ c0, c1, c2 }: Quadratic, q: number): number {
  return c0 + (c1 + c2 * q) * q
}

/** What a tee does to the water that passes it, written into by `teeAt`. Legs in the order of `TEE_LEGS`. */
export interface TeeAt {
  /** The leg that carries the sum of the other two. */
  common: TeeLeg
  /** One stream becomes two; else two become one. */
  dividing: boolean
  /** Of each leg: its head over the common leg's, m. */
  readonly headM: number[]
  /** Of each leg: d(head)/d(inflow of the common leg), s/m². */
  readonly perCommon: number[]
  /** Of each leg: d(head)/d(inflow of the leg at `shareLeg`), s/m². */
  readonly perShare: number[]
  /** The leg whose share of the common flow the losses hang on. */
  shareLeg: TeeLeg
  /** V²/2g of the common leg, m. */
  velocityHeadM: number
}

/** Room for an answer. */
export function teeRoom(): TeeAt {
  return {
    common: 0,
    dividing: true,
    headM: [0.5, 0.5, 0.5],
    perCommon: [0.5, 0.5, 0.5],
    perShare: [0.5, 0.5, 0.5],
    shareLeg: 2,
    velocityHeadM: 0,
  }
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
/** Flows that differ by less than this share are equal, as a solver leaves them: the common leg is then the first of them. */
const EQUAL = 1e-9

/**
 * Heads at a tee's legs with so much coming into each (out: negative; the three add up to nil), and
 * how they move with the flows: K V²/2g with K by the branch's share of the common flow (Gardel
 * 1957), or by each run leg's share where the branch is the common leg (Idelchik); with 200/Re
 * straight on and 500/Re turning. The common leg is held for the slopes.
 *
 * @param inflows of the three legs
 */
export function teeAt(
  tee: TeeLaw,
  inflows: readonly number[],
  kinematicM2PerS: number,
  into: TeeAt,
): void {
  const run1 = Math.abs(inflows[0]!)
  const run2 = Math.abs(inflows[1]!)
  const branch = Math.abs(inflows[2]!)
  const run: 0 | 1 = run2 > run1 * (1 + EQUAL) ? 1 : 0
  const more = run === 0 ? run1 : run2
  const common: TeeLeg = branch > more * (1 + EQUAL) ? BRANCH : run
  const size = common === BRANCH ? branch : more
  const { perFlow2, perRe } = common === BRANCH ? tee.onBranch : tee.onRun
  into.common = common
  into.dividing = inflows[common]! > 0
  into.headM[common] = 0
  into.perCommon[common] = 0
  into.perShare[common] = 0
  into.velocityHeadM = perFlow2 * size * size
  AT.flow = size
  AT.perFlow2 = perFlow2
  AT.perRe = perRe * kinematicM2PerS
  AT.sign = into.dividing ? -1 : 1
  if (common !== BRANCH) fromRun(tee, run, shareOf(branch, size), into)
  else if (run1 <= run2) fromBranch(tee, 0, shareOf(run1, size), into)
  else fromBranch(tee, 1, shareOf(run2, size), into)
}

/** The common flow as the legs' losses need it; holds nothing between two calls. */
const AT = { flow: 0.5, perFlow2: 0.5, perRe: 0.5, sign: 0.5 }

/** A share that rounding made more than all is that. */
function shareOf(flow: number, size: number): number {
  if (size === 0) return 0
  const share = flow / size
  return share > 1 ? 1 : share
}

/** A K and its Reynolds term by a share of the common flow, each with its slope; read at once. */
const K = { p: 0.5, perShare: 0.5, r: 0.5, rPerShare: 0.5 }

function setK(p: number, perShare: number, r: number, rPerShare: number): void {
  K.p = p
  K.perShare = perShare
  K.r = r
  K.rPerShare = rPerShare
}

/**
 * One leg's loss L = (P + R/Re) V²/2g, with P and R by a share s of the common flow Q, as its head
 * over the common leg's: L lower where the water divides, L higher where it joins.
 */
function setLeg(into: TeeAt, leg: TeeLeg, share: number): void {
  const { flow, perFlow2, perRe, sign } = AT
  const { p, perShare, r, rPerShare } = K
  const perShareM = perFlow2 * perShare * flow + perRe * rPerShare
  into.headM[leg] = sign * (perFlow2 * p * flow + perRe * r) * flow
  into.perShare[leg] = perShareM
  into.perCommon[leg] = -(2 * perFlow2 * p * flow + perRe * r - share * perShareM)
}

/** The common leg is an end of the run: q is the branch's share. */
function fromRun(tee: TeeLaw, common: 0 | 1, q: number, into: TeeAt): void {
  const other: TeeLeg = common === 0 ? 1 : 0
  const ks = into.dividing ? tee.dividing : tee.joining
  into.shareLeg = BRANCH
  if (q < HARDLY_RUNS) {
    const rise = (TURNING_RE - STILL_BRANCH_RE) / HARDLY_RUNS
    setQuadratic(ks.branch, q, STILL_BRANCH_RE + rise * q, rise)
    setLeg(into, BRANCH, q)
    setQuadratic(ks.pastStill, q, STRAIGHT_RE, 0)
  } else {
    setQuadratic(ks.branch, q, TURNING_RE, 0)
    setLeg(into, BRANCH, q)
    // The other end hardly runs: at nil it stands at the common leg's head.
    const rest = (1 - q) / HARDLY_RUNS
    if (rest < 1) setQuadratic(ks.intoStill, q, STRAIGHT_RE * rest, -STRAIGHT_RE / HARDLY_RUNS)
    else setQuadratic(ks.straight, q, STRAIGHT_RE, 0)
  }
  setLeg(into, other, q)
}

function setQuadratic({ c0, c1, c2 }: Quadratic, q: number, r: number, rPerShare: number): void {
  setK(c0 + (c1 + c2 * q) * q, c1 + 2 * c2 * q, r, rPerShare)
}

/**
 * The common leg is the branch, run legs with shares s of its flow: dividing 1 + 0.3 (s r)²,
 * joining 1 + r² + 3 r² (s² − s), r the branch's area over the run's (Idelchik, symmetric tee).
 *
 * @param s share of the lesser run leg
 */
function fromBranch(tee: TeeLaw, lesser: 0 | 1, s: number, into: TeeAt): void {
  const greater: TeeLeg = lesser === 0 ? 1 : 0
  const r2 = tee.trueRatio * tee.trueRatio
  const { dividing } = into
  into.shareLeg = lesser
  if (s >= HARDLY_RUNS) {
    setK(splitK(dividing, r2, s), splitSlope(dividing, r2, s), TURNING_RE, 0)
    setLeg(into, lesser, s)
    setK(splitK(dividing, r2, 1 - s), -splitSlope(dividing, r2, 1 - s), TURNING_RE, 0)
    setLeg(into, greater, s)
    return
  }
  // At nil both stand where all the water turns between the branch and the other run leg, on that leg's own head and Re.
  const dryK = (dividing ? tee.outOfBranch : tee.intoBranch) * r2
  const dryRe = ((TURNING_RE * tee.runBoreM) / tee.branchBoreM) * r2
  const riseRe = (TURNING_RE - dryRe) / HARDLY_RUNS
  const riseLesser = (splitK(dividing, r2, HARDLY_RUNS) - dryK) / HARDLY_RUNS
  const riseGreater = (splitK(dividing, r2, 1 - HARDLY_RUNS) - dryK) / HARDLY_RUNS
  setK(dryK + riseLesser * s, riseLesser, dryRe + riseRe * s, riseRe)
  setLeg(into, lesser, s)
  setK(dryK + riseGreater * s, riseGreater, dryRe + riseRe * s, riseRe)
  setLeg(into, greater, s)
}

function splitK(dividing: boolean, r2: number, s: number): number {
  return dividing ? 1 + 0.3 * s * s * r2 : 1 + r2 + 3 * r2 * (s * s - s)
}

function splitSlope(dividing: boolean, r2: number, s: number): number {
  return dividing ? 0.6 * s * r2 : 3 * r2 * (2 * s - 1)
}
