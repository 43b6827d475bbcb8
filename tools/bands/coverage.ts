import {
  Bands,
  type FittingLoss,
  type FrictionLoss,
  type LinkPump,
  makeNetwork,
  type SolvedFlows,
  solveNetwork,
  solveWithLosses,
} from '@yew-basin/core/lab'
import { randomFrom } from '../attack/random.mjs'
import { type Drawn, problemOf, stated } from './problem.ts'
import type { ThingNetwork } from './thing-network.ts'

/** How errors go together: each thing by itself, all of a kind alike, all pieces alike. */
export const MODELS = ['each', 'kind', 'together'] as const
type Model = (typeof MODELS)[number]

/** One end of a network: how many of a hundred draws its band holds, and how wide it is. */
export interface EndCoverage {
  readonly network: string
  readonly end: string
  readonly flowM3PerS: number
  readonly bandM3PerS: number
  /** Draws inside the band of every hundred, by model. */
  readonly inside: Readonly<Record<Model, number>>
  /** The band over half of the widest of the three models' central 95 % ranges. */
  readonly width: number
}

/** Two standard deviations of a thing's factor, as the bands have them. */
const SHARES = { fitting: 0.2, device: 0.1, friction: 0.05, ribbed: 0.3, tee: 0.2, teeLeast: 0.02 }
/** Published K of one part-closed setting differ by so much, times or divided. */
const VALVE_FACTOR = 1.7
const PUMP = { head: 0.06, flow: 0.08, shape: 0.6 }

/** Draws a network so many times under each model and counts what its bands hold, end by end. */
export function coverage(network: ThingNetwork, draws: number, seed: number): EndCoverage[] {
  const problem = problemOf(network)
  const solver = makeNetwork(problem)
  const { flows, unsettledLinkId } = solveWithLosses(solver)
  if (unsettledLinkId !== null) throw new Error(`${network.name} does not settle`)
  const bands = new Bands(solver)
  const ends = problem.links.flatMap(({ from, to }, l) => {
    const atEnd = problem.nodes[from]!.headM !== null || problem.nodes[to]!.headM !== null
    return atEnd && Math.abs(flows.flowsM3PerS[l]!) > 0 ? [l] : []
  })
  const teeErrors = teeThings(flows)
  const samples = new Map(MODELS.map((model) => [model, ends.map((): number[] => [])]))
  for (const model of MODELS) {
    const normal = gaussian(randomFrom(seed + MODELS.indexOf(model) * 101))
    for (let draw = 0; draw < draws; draw++) {
      const outcome = solveNetwork(
        makeNetwork(stated(network, drawnLinks(network, teeErrors, model, normal))),
        flows.flowsM3PerS.slice(),
      )
      if (!outcome.ok) throw new Error(`${network.name}: a draw does not settle`)
      const { flowsM3PerS } = outcome.value
      ends.forEach((link, e) => samples.get(model)![e]!.push(flowsM3PerS[link]!))
    }
  }
  return ends.map((link, e): EndCoverage => {
    const flowM3PerS = flows.flowsM3PerS[link]!
    const { band: bandM3PerS } = bands.ofFlow(link)
    const insideOf = (model: Model) => {
      const drawn = samples.get(model)![e]!
      const inside = drawn.filter((flow) => Math.abs(flow - flowM3PerS) <= bandM3PerS).length
      return (100 * inside) / drawn.length
    }
    const widest = Math.max(...MODELS.map((model) => central95(samples.get(model)![e]!)))
    return {
      network: network.name,
      end: problem.links[link]!.id,
      flowM3PerS,
      bandM3PerS,
      inside: { each: insideOf('each'), kind: insideOf('kind'), together: insideOf('together') },
      width: bandM3PerS / (widest / 2),
    }
  })
}

function central95(drawn: readonly number[]): number {
  const sorted = [...drawn].sort((a, b) => a - b)
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.round(share * (sorted.length - 1)))]!
  return at(0.975) - at(0.025)
}

/** Box & Muller 1958. */
function gaussian(random: () => number): () => number {
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/** A tee's leg as a thing: so much more head lost in its link, along it, per standard deviation. */
interface TeeThing {
  readonly link: number
  readonly lostM: number
}

function teeThings({ tees, flowsM3PerS }: SolvedFlows): TeeThing[] {
  return tees.flatMap(({ velocityHeadM, legs }) =>
    legs.flatMap(({ link, lossM }): TeeThing[] => {
      if (link < 0) return []
      const d = Math.max(SHARES.tee * Math.abs(lossM), SHARES.teeLeast * velocityHeadM)
      return [{ link, lostM: (Math.sign(flowsM3PerS[link]!) * d) / 2 }]
    }),
  )
}

function drawnLinks(
  { links }: ThingNetwork,
  tees: readonly TeeThing[],
  model: Model,
  normal: () => number,
): Drawn[] {
  const all = normal()
  const ofKind = new Map<string, number>()
  const z = (kind: string) => {
    if (model === 'together') return all
    if (model === 'each') return normal()
    if (!ofKind.has(kind)) ofKind.set(kind, normal())
    return ofKind.get(kind)!
  }
  return links.map((link, l): Drawn => {
    const frictions = link.frictions.map((friction): FrictionLoss => {
      const share = friction.ribbed ? SHARES.ribbed : SHARES.friction
      return { ...friction, factor: friction.factor * (1 + (share / 2) * z('friction')) }
    })
    const fittings = link.fittings.map((fitting): FittingLoss => {
      if (fitting.kind === 'exit') return fitting
      const factor =
        fitting.kind === 'part-closed-valve'
          ? VALVE_FACTOR ** (z('valve') / 2)
          : 1 + (SHARES[fitting.kind] / 2) * z(fitting.kind)
      const { k, km } = fitting.loss
      return { ...fitting, loss: { k: k * factor, km: km * factor } }
    })
    const lostM = tees.reduce((sum, tee) => (tee.link === l ? sum + tee.lostM * z('tee') : sum), 0)
    const pump = link.pump && drawnPump(link.pump, normal)
    return { frictions, fittings, pump: lostM === 0 ? pump : lessBy(pump, lostM) }
  })
}

/** A pump whose head is less by so much at any flow; for a link without one, nothing but that. */
function lessBy(pump: LinkPump | null, lostM: number): LinkPump {
  if (!pump) {
    return { curve: constantHead(-lostM), outletBoreM: WIDE_M, speed: 1, stopped: false }
  }
  const { curve, speed } = pump
  const lost = lostM / (speed * speed)
  return {
    ...pump,
    curve: {
      ...curve,
      shutOffHeadM: curve.shutOffHeadM - lost,
      headAtFullSpeedM: (q) => curve.headAtFullSpeedM(q) - lost,
    },
  }
}

/** So wide that water forced back through it loses nothing. */
const WIDE_M = 10

function constantHead(headM: number): LinkPump['curve'] {
  return {
    shutOffHeadM: headM,
    freeFlowM3PerS: 1,
    knownToM3PerS: 1,
    twoNumber: false,
    headAtFullSpeedM: () => headM,
    slopeAtFullSpeed: () => 0,
  }
}

/** A pump of its own: its head, its flow and, by two numbers, its shape. */
function drawnPump(pump: LinkPump, normal: () => number): LinkPump {
  const { curve } = pump
  const head = 1 + (PUMP.head / 2) * normal()
  const flow = 1 + (PUMP.flow / 2) * normal()
  const shape = curve.twoNumber ? (PUMP.shape / 2) * normal() * curve.shutOffHeadM : 0
  const most = curve.freeFlowM3PerS
  const bulge = (q: number) => (q > 0 && q < most ? shape * (q / most) * (1 - q / most) : 0)
  const bulgeSlope = (q: number) => (q > 0 && q < most ? (shape * (1 - (2 * q) / most)) / most : 0)
  return {
    ...pump,
    curve: {
      ...curve,
      shutOffHeadM: head * curve.shutOffHeadM,
      headAtFullSpeedM: (q) => head * curve.headAtFullSpeedM(q / flow) + bulge(q),
      slopeAtFullSpeed: (q) => (head * curve.slopeAtFullSpeed(q / flow)) / flow + bulgeSlope(q),
    },
  }
}
