import { converged, type Converged, solveEnvelope, zeros } from '../numeric/index.ts'
import { linkHead, type LinkHead, type LinkSearch, SHUT_RESISTANCE } from './laws.ts'
import type { Network } from './network.ts'
import type { NetworkFailure, NetworkSolution } from './problem.ts'

/** No valid network needs more (the property tests hold it to this). */
export const MOST_ITERATIONS = 60
/** Every link balances its heads to this, m; one more step then squares the error away. */
const BALANCED_M = 1e-9
/** Below this a check valve is about to open or close, m³/s: rounding leaves no more to be known of its flow. */
const STILL_M3_PER_S = 1e-12
/** How well the heads beside such a valve are found, m. */
const STILL_BALANCED_M = 1e-7
/** Least slope in the matrix, s/m²: a link without losses is pulled to balance instead of divided by zero. */
const LEAST_SLOPE = 0.1
/** A step is halved when it has gone this far past the lowest point of the energy along it. */
const OVERSHOOT = 0.5
const MOST_TRIALS = 30
/** Flow that tells a valve pushed shut from one that stands open, m³/s. */
const SEEP_M3_PER_S = 1e-9
/** Flow past which the search has run away, m³/s. */
const RUNAWAY_M3_PER_S = 1e3

/**
 * All heads and flows at once by the global gradient method (Todini & Pilati 1988): Newton on
 * flows and heads together, h_l(q_l) = H_from − H_to and continuity at every junction. Each h_l
 * rises with its q_l, so the flows are the lowest point of a convex energy (Collins et al. 1978);
 * a step that runs past that point is cut back along its line, which makes the method settle from
 * any start.
 *
 * @param from flows to start from, one a link of the problem; none: a cold start
 */
export function solveNetwork(
  network: Network,
  from?: number[],
): Converged<NetworkSolution> | NetworkFailure {
  const { live, flow, guess } = network
  for (let i = 0; i < live.length; i++) flow[i] = from ? startFlow(network, i, from) : guess[i]!
  evaluate(network)
  let iterations = 0
  while (iterations < MOST_ITERATIONS) {
    iterations++
    findHeads(network)
    findStep(network)
    // The first step makes the flows continuous; from then on the energy along a step is known.
    takeStep(network, iterations > 1)
    if (worst(network).offM < BALANCED_M) {
      lastStep(network)
      return converged(solution(network), iterations)
    }
    if (ranAway(network)) break
  }
  const reason = iterations < MOST_ITERATIONS ? 'ran-away' : 'too-many-iterations'
  const at = live[worst(network).link] ?? 0
  return { ok: false, reason, linkId: network.problem.links[at]!.id, iterations }
}

/** A check valve that stood shut is taken to stand shut still. */
function startFlow({ live, searches }: Network, i: number, from: number[]): number {
  const flow = from[live[i]!]!
  return flow === 0 && searches[i]!.oneWay ? -SEEP_M3_PER_S : flow
}

function evaluate({ searches, scale, flow, head, slope }: Network): void {
  const found: LinkHead = { headM: 0, slope: 0 }
  for (let i = 0; i < searches.length; i++) {
    linkHead(searches[i]!, flow[i]!, found, scale)
    head[i] = found.headM
    slope[i] = found.slope > LEAST_SLOPE ? found.slope : LEAST_SLOPE
  }
}

/** A G⁻¹ Aᵀ H = A (q − G⁻¹ h), with the known heads on the right. */
function findHeads(network: Network): void {
  const { envelope, matrix, rhs, row, fromNode, toNode, flow, head, slope, nodeHead } = network
  matrix.fill(0)
  rhs.fill(0)
  for (let i = 0; i < flow.length; i++) {
    const from = row[fromNode[i]!]!
    const to = row[toNode[i]!]!
    const y = 1 / slope[i]!
    const carried = flow[i]! - y * head[i]!
    if (to >= 0) {
      const at = envelope.end[to]!
      matrix[at] = matrix[at]! + y
      rhs[to] = rhs[to]! + carried + (from >= 0 ? 0 : y * nodeHead[fromNode[i]!]!)
    }
    if (from >= 0) {
      const at = envelope.end[from]!
      matrix[at] = matrix[at]! + y
      rhs[from] = rhs[from]! - carried + (to >= 0 ? 0 : y * nodeHead[toNode[i]!]!)
    }
    if (from >= 0 && to >= 0) {
      const low = from < to ? from : to
      const high = from < to ? to : from
      const at = envelope.end[high]! - (high - low)
      matrix[at] = matrix[at]! - y
    }
  }
  solveEnvelope(envelope, matrix, rhs)
  for (let n = 0; n < row.length; n++) if (row[n]! >= 0) nodeHead[n] = rhs[row[n]!]!
}

function findStep({ step, fromNode, toNode, nodeHead, head, slope }: Network): void {
  for (let i = 0; i < step.length; i++) {
    const drop = nodeHead[fromNode[i]!]! - nodeHead[toNode[i]!]!
    step[i] = (drop - head[i]!) / slope[i]!
  }
}

/** Slope of the energy along the step, from the heads as they are evaluated now. */
function energySlope({ step, fromNode, toNode, nodeHead, head }: Network): number {
  let sum = 0
  for (let i = 0; i < step.length; i++) {
    sum += step[i]! * (head[i]! - nodeHead[fromNode[i]!]! + nodeHead[toNode[i]!]!)
  }
  return sum
}

function takeStep(network: Network, guarded: boolean): void {
  const atStart = energySlope(network)
  moveBy(network, 1)
  if (!guarded) return
  const atEnd = energySlope(network)
  if (!(atEnd > -OVERSHOOT * atStart)) return
  cutBack(network, atStart, atEnd)
}

/** Moves the flows by a share of the step and evaluates there. */
function moveBy(network: Network, share: number): void {
  const { flow, step } = network
  for (let i = 0; i < flow.length; i++) flow[i] = flow[i]! + share * step[i]!
  evaluate(network)
}

/** False position (Illinois) for the lowest point of the energy between start and end of the step. */
function cutBack(network: Network, slopeAtStart: number, slopeAtEnd: number): void {
  let low = 0
  let lowSlope = slopeAtStart
  let high = 1
  let highSlope = slopeAtEnd
  let at = 1
  for (let i = 0; i < MOST_TRIALS; i++) {
    const next = low + ((high - low) * -lowSlope) / (highSlope - lowSlope)
    moveBy(network, next - at)
    at = next
    const slope = energySlope(network)
    if (Math.abs(slope) <= -OVERSHOOT * slopeAtStart) return
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
  const { searches, flow, head, slope, step, fromNode, toNode, nodeHead } = network
  for (let i = 0; i < flow.length; i++) {
    if (!standsShut(searches[i]!, flow[i]!)) continue
    flow[i] = 0
    head[i] = nodeHead[fromNode[i]!]! - nodeHead[toNode[i]!]!
    slope[i] = SHUT_RESISTANCE
  }
  findHeads(network)
  findStep(network)
  for (let i = 0; i < flow.length; i++) flow[i] = flow[i]! + step[i]!
}

function standsShut({ oneWay }: LinkSearch, flowM3PerS: number): boolean {
  return oneWay && flowM3PerS < STILL_M3_PER_S
}

/** The live link furthest from h(q) = H_from − H_to. */
function worst(network: Network): { link: number; offM: number } {
  const { fromNode, toNode, nodeHead, head, flow, searches } = network
  let link = 0
  let offM = 0
  for (let i = 0; i < head.length; i++) {
    const off = Math.abs(head[i]! - nodeHead[fromNode[i]!]! + nodeHead[toNode[i]!]!)
    if (off <= offM) continue
    const still = searches[i]!.oneWay && Math.abs(flow[i]!) < STILL_M3_PER_S
    if (still && off < STILL_BALANCED_M) continue
    link = i
    offM = off
  }
  return { link, offM }
}

function ranAway({ flow }: Network): boolean {
  for (let i = 0; i < flow.length; i++) {
    if (!(Math.abs(flow[i]!) < RUNAWAY_M3_PER_S)) return true
  }
  return false
}

function solution({ problem, live, flow, searches, nodeHead }: Network): NetworkSolution {
  const flowsM3PerS = zeros(problem.links.length)
  for (let i = 0; i < live.length; i++) {
    flowsM3PerS[live[i]!] = standsShut(searches[i]!, flow[i]!) ? 0 : flow[i]!
  }
  return { flowsM3PerS, headsM: nodeHead.slice() }
}
