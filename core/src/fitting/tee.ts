import { BRANCH, HARDLY_RUNS, LAW_AT, LEG_AT, type TeeLaw, type TeeLeg } from './tee-law.ts'

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
  { numbers }: TeeLaw,
  inflows: readonly number[],
  kinematicM2PerS: number,
  into: TeeAt,
): void {
  const run1 = Math.abs(inflows[0]!)
  const run2 = Math.abs(inflows[1]!)
  const branch = Math.abs(inflows[2]!)
  const run: 0 | 1 = run2 > run1 * (1 + EQUAL) ? 1 : 0
  const more = run === 0 ? run1 : run2
  const isBranch = branch > more * (1 + EQUAL)
  const common: TeeLeg = isBranch ? BRANCH : run
  const size = isBranch ? branch : more
  const dividing = inflows[common]! > 0
  // The leg whose share the losses hang on, and the third.
  const own: TeeLeg = isBranch ? (run1 <= run2 ? 0 : 1) : BRANCH
  const other: TeeLeg = (isBranch ? own : run) === 0 ? 1 : 0
  const share = shareOf(isBranch ? (own === 0 ? run1 : run2) : branch, size)
  const velocity = isBranch ? LAW_AT.branch : LAW_AT.run
  const perFlow = numbers[velocity]! * size
  const perRe = numbers[velocity + 1]! * kinematicM2PerS
  const legs = dividing ? LAW_AT.dividing : LAW_AT.joining
  const ownAt = legs + (isBranch ? lesserAt(share) : branchAt(share))
  const otherAt = legs + (isBranch ? greaterAt(share) : straightAt(share))
  const { headM, perCommon, perShare } = into
  into.common = common
  into.dividing = dividing
  into.shareLeg = own
  into.velocityHeadM = perFlow * size
  headM[common] = 0
  perCommon[common] = 0
  perShare[common] = 0
  // Each loss as its leg's head over the common leg's: lower where the water divides, higher where it joins.
  // Written out for both legs: a loop over the two costs a twentieth of all tees.
  const flow = dividing ? -size : size
  const ownSquare = perFlow * squareAt(numbers, ownAt, share)
  const ownLost = ownSquare + perRe * (numbers[ownAt + 3]! + numbers[ownAt + 4]! * share)
  const ownPer = perFlow * risesAt(numbers, ownAt, share) + perRe * numbers[ownAt + 4]!
  headM[own] = ownLost * flow
  perShare[own] = ownPer
  perCommon[own] = share * ownPer - ownLost - ownSquare
  const square = perFlow * squareAt(numbers, otherAt, share)
  const lost = square + perRe * (numbers[otherAt + 3]! + numbers[otherAt + 4]! * share)
  const per = perFlow * risesAt(numbers, otherAt, share) + perRe * numbers[otherAt + 4]!
  headM[other] = lost * flow
  perShare[other] = per
  perCommon[other] = share * per - lost - square
}

/** A share that rounding made more than all is that. */
function shareOf(flow: number, size: number): number {
  if (size === 0) return 0
  const share = flow / size
  return share > 1 ? 1 : share
}

function branchAt(share: number): number {
  return share < HARDLY_RUNS ? LEG_AT.stillBranch : LEG_AT.branch
}

/** Where the run's other end hardly runs: at nil it stands at the common leg's head. */
function straightAt(share: number): number {
  if (share < HARDLY_RUNS) return LEG_AT.pastStill
  return 1 - share < HARDLY_RUNS ? LEG_AT.intoStill : LEG_AT.straight
}

function lesserAt(share: number): number {
  return share < HARDLY_RUNS ? LEG_AT.stillLesser : LEG_AT.lesser
}

function greaterAt(share: number): number {
  return share < HARDLY_RUNS ? LEG_AT.besideStill : LEG_AT.greater
}

/** P of a leg's loss, and dP/ds. */
function squareAt(numbers: readonly number[], at: number, share: number): number {
  return numbers[at]! + (numbers[at + 1]! + numbers[at + 2]! * share) * share
}

function risesAt(numbers: readonly number[], at: number, share: number): number {
  return numbers[at + 1]! + 2 * numbers[at + 2]! * share
}
