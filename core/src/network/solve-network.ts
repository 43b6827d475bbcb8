import { converged, type Converged, zeros } from '../numeric/index.ts'
import { linkHeads, type LinkSearch, SHUT_RESISTANCE } from './laws.ts'
import type { Network } from './network.ts'
import type { NetworkFailure, NetworkSolution } from './problem.ts'
import { comingIn, evaluateTees, headsOf } from './tees.ts'
import { type ChordEnd, LEGS, NOTHING } from './tree.ts'
import { LEAST_RESISTANCE } from './slopes.ts'
import type { TreeMatrix } from './tree-matrix.ts'

/** No valid network needs more (the property tests hold it to this). */
export const MOST_ITERATIONS = 60
/** Every link balances its heads to this, m; one more step then squares the error away: to some 1e-11 of a flow. */
const BALANCED_M = 1e-5
/** Below this a check valve is about to open or close, m³/s: rounding leaves no more to be known of its flow. */
const STILL_M3_PER_S = 1e-12
/** A step is halved when it has gone this far past the lowest point of the energy along it. */
const OVERSHOOT = 0.5
const MOST_TRIALS = 30
/** Flow that tells a valve pushed shut from one that stands open, m³/s. */
const SEEP_M3_PER_S = 1e-9
/** Flow past which the search has run away, m³/s. */
const RUNAWAY_M3_PER_S = 1e3

/**
 * All flows at once by Newton's method, the tees' K inside: along every link h(q) = H_from − H_to,
 * at every tee the legs' heads by how its flow divides, and continuity. The matrix is eliminated along
 * the tree of the links. Without tees the flows are the lowest point of a convex energy (Collins et al.
 * 1978); a step that runs past the lowest point along its line is cut back there.
 *
 * @param from flows to start from, one a link of the problem; none: a cold start
 */
export function solveNetwork(
  network: Network,
  from?: number[],
): Converged<NetworkSolution> | NetworkFailure {
  const { live, flow, guess } = network
  for (let i = 0; i < live.length; i++) flow[i] = from ? startFlow(network, i, from) : guess[i]!
  let iterations = settle(network, from ? 1 : FIRST_CONTINUOUS, FURTHEST)
  let balanced = isBalanced(network)
  if (!balanced) {
    iterations += settleByAndBy(network)
    balanced = isBalanced(network)
  }
  if (balanced) {
    lastStep(network)
    return converged(solution(network), iterations)
  }
  const reason = ranAway(network) ? 'ran-away' : 'too-many-iterations'
  const at = live[worst(network)] ?? 0
  return { ok: false, reason, linkId: network.problem.links[at]!.id, iterations }
}

/**
 * A few of a thousand networks swing between two ways of dividing: their tees are brought in by and
 * by, and where that leads nowhere, all at once from elsewhere; how many steps it took.
 */
function settleByAndBy(network: Network): number {
  const { flow, guess } = network
  for (let i = 0; i < flow.length; i++) flow[i] = guess[i]!
  let iterations = settle(network, 0, FURTHEST)
  for (let share = TEE_STEP; share < 1.01; share += TEE_STEP) {
    iterations += settle(network, share, FURTHEST_THEN)
  }
  for (const times of STARTS) {
    if (isBalanced(network)) break
    for (let i = 0; i < flow.length; i++) flow[i] = times * guess[i]!
    iterations += settle(network, FIRST_CONTINUOUS, FURTHEST_THEN)
  }
  return iterations
}

/** Other guesses to start from. */
const STARTS = [0.1, 5, -1, 0.4, -0.2]
/** How much of the tees is added at a time where all at once does not settle. */
const TEE_STEP = 0.1
/** Newton mostly needs no guard; where it has not settled by then, its steps are held back. */
const UNGUARDED = 12
/** Where a tee’s law bends, a step may point anywhere: no flow moves further than this times the largest. */
const FURTHEST = 4
/** And where that did not settle. */
const FURTHEST_THEN = 0.5
/** The tees are not asked before the flows are continuous. */
const FIRST_CONTINUOUS = -1

/**
 * Newton until the links balance with so much of the tees, or no more steps are allowed; how many it
 * took.
 */
function settle(network: Network, tees: number, furthest: number): number {
  let share = tees === FIRST_CONTINUOUS ? 0 : tees
  evaluate(network)
  evaluateTees(network, share)
  for (let iterations = 1; ; iterations++) {
    findStep(network)
    if (tees === FIRST_CONTINUOUS) share = 1
    takeStep(network, share, {
      furthest: iterations === 1 && tees < 0 ? Infinity : furthest,
      guarded: iterations > UNGUARDED,
    })
    if (isBalanced(network) || iterations === MOST_ITERATIONS || ranAway(network)) return iterations
  }
}

/** A check valve that stood shut is taken to stand shut still. */
function startFlow({ live, searches }: Network, i: number, from: number[]): number {
  const flow = from[live[i]!]!
  return flow === 0 && searches[i]!.oneWay ? -SEEP_M3_PER_S : flow
}

/** What every link loses at the flows as they stand, counted away from the root. */
function evaluate({ searches, flow, sides, tree, matrix: { slope } }: Network): void {
  const { link } = sides
  linkHeads(searches, flow, link, slope)
  for (let i = 0; i < flow.length; i++) {
    link[i] = tree.sign[i]! * link[i]!
    if (slope[i]! < LEAST_RESISTANCE) slope[i] = LEAST_RESISTANCE
  }
}

/** The linear system at the flows as they stand, solved. */
function findStep({ tree, flow, matrix, sides }: Network): void {
  const { legs } = tree
  for (let t = 0; t < tree.tees.length; t++) {
    const at = LEGS * t
    const run = comingIn(legs, flow, at) + comingIn(legs, flow, at + 1)
    sides.surplus[t] = run + comingIn(legs, flow, at + 2)
  }
  matrix.factor()
  matrix.solve(sides)
}

/** How far each link is from h(q) = H_upper − H_lower at the heads found last. */
function findOff({ tree, matrix, sides, off }: Network): void {
  const { tees, roots, leaves, farNode, chords } = tree
  const { known, legs, link } = sides
  for (let i = 0; i < leaves.length; i++) {
    const l = leaves[i]!
    off[l] = link[l]! + known[farNode[l]!]!
  }
  for (let t = 0; t < tees.length; t++) {
    const { up, a, b, aKind, bKind } = tees[t]!
    const headM = matrix.head[t]!
    off[up] = link[up]! + headM
    // What hangs on a leg was met before, unless it is a chord, which waits.
    if (aKind !== NOTHING) off[a] = off[a]! - headM - legs[2 * t]!
    if (bKind !== NOTHING) off[b] = off[b]! - headM - legs[2 * t + 1]!
  }
  for (let r = 0; r < roots.length; r++) {
    const { link: l, node } = roots[r]!
    off[l] = off[l]! - known[node]!
  }
  for (let c = 0; c < chords.length; c++) {
    const { link: l, from, to } = chords[c]!
    off[l] = link[l]! - legHeadM(matrix, legs, from) + legHeadM(matrix, legs, to)
  }
}

function legHeadM({ head }: TreeMatrix, legs: readonly number[], { tee, onA }: ChordEnd): number {
  return head[tee]! + legs[onA ? 2 * tee : 2 * tee + 1]!
}

/** Slope of the energy along the step, from the heads as they are evaluated now. */
function energySlope({ matrix, off }: Network): number {
  let sum = 0
  for (let i = 0; i < off.length; i++) sum += matrix.flow[i]! * off[i]!
  return sum
}

function takeStep(
  network: Network,
  share: number,
  { furthest, guarded }: { readonly furthest: number; readonly guarded: boolean },
): void {
  let atStart = 0
  if (guarded) {
    findOff(network)
    atStart = energySlope(network)
  }
  const far = withinReach(network, furthest)
  moveBy(network, far, share)
  if (!guarded || far < 1) return
  const atEnd = energySlope(network)
  if (!(atEnd > -OVERSHOOT * atStart)) return
  cutBack(network, share, { atStart, atEnd })
}

/** How far along the step no flow moves by more than so many times the largest. */
function withinReach({ flow, matrix }: Network, furthest: number): number {
  let largest = 0
  let most = 0
  for (let i = 0; i < flow.length; i++) {
    const size = Math.abs(flow[i]!)
    const step = Math.abs(matrix.flow[i]!)
    if (size > largest) largest = size
    if (step > most) most = step
  }
  const reach = furthest * largest
  return most > reach && reach > 0 ? reach / most : 1
}

/** Moves the flows so far along the step and evaluates there. */
function moveBy(network: Network, far: number, teeShare: number): void {
  moveFlows(network, far)
  evaluate(network)
  evaluateTees(network, teeShare)
  findOff(network)
}

function moveFlows({ flow, tree, matrix }: Network, far: number): void {
  for (let i = 0; i < flow.length; i++) flow[i] = flow[i]! + far * tree.sign[i]! * matrix.flow[i]!
}

/** False position (Illinois) for the lowest point of the energy between start and end of the step. */
function cutBack(
  network: Network,
  teeShare: number,
  { atStart, atEnd }: { readonly atStart: number; readonly atEnd: number },
): void {
  let low = 0
  let lowSlope = atStart
  let high = 1
  let highSlope = atEnd
  let at = 1
  for (let i = 0; i < MOST_TRIALS; i++) {
    const crossing = low + ((high - low) * -lowSlope) / (highSlope - lowSlope)
    const next = crossing > low && crossing < high ? crossing : (low + high) / 2
    moveBy(network, next - at, teeShare)
    at = next
    const slope = energySlope(network)
    if (Math.abs(slope) <= -OVERSHOOT * atStart) return
    if (slope > 0) {
      high = next
      highSlope = slope
      lowSlope /= 2
    } else {
      low = next
      lowSlope = slope
      highSlope /= 2
    }
  }
}

/**
 * Newton once more from a point that balances, with every check valve that stands shut taken at
 * its head and without its leak: squares the error away and makes the flows continuous exactly.
 */
function lastStep(network: Network): void {
  const { searches, flow, sides, off, matrix } = network
  let shut = 0
  for (let i = 0; i < flow.length; i++) {
    if (!standsShut(searches[i]!, flow[i]!)) continue
    flow[i] = 0
    sides.link[i] = sides.link[i]! - off[i]!
    matrix.slope[i] = SHUT_RESISTANCE
    shut++
  }
  if (shut > 0) evaluateTees(network, 1)
  findStep(network)
  moveFlows(network, 1)
}

function standsShut({ oneWay }: LinkSearch, flowM3PerS: number): boolean {
  return oneWay && flowM3PerS < STILL_M3_PER_S
}

function isBalanced({ off }: Network): boolean {
  for (let i = 0; i < off.length; i++) {
    // Not a number is not balanced.
    if (!(Math.abs(off[i]!) < BALANCED_M)) return false
  }
  return true
}

/** The live link furthest from h(q) = H_from − H_to. */
function worst({ off }: Network): number {
  let link = 0
  for (let i = 0; i < off.length; i++) if (Math.abs(off[i]!) > Math.abs(off[link]!)) link = i
  return link
}

function ranAway({ flow }: Network): boolean {
  for (let i = 0; i < flow.length; i++) {
    if (!(Math.abs(flow[i]!) < RUNAWAY_M3_PER_S)) return true
  }
  return false
}

function solution(network: Network): NetworkSolution {
  const { problem, live, flow, searches } = network
  const flowsM3PerS = zeros(problem.links.length)
  for (let i = 0; i < live.length; i++) {
    if (standsShut(searches[i]!, flow[i]!)) flow[i] = 0
    flowsM3PerS[live[i]!] = flow[i]!
  }
  return { flowsM3PerS, headsM: headsOf(network) }
}
