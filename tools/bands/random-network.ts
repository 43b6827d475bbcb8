import { pumpCurve } from '@yew-basin/core'
import {
  type FittingLoss,
  type FrictionLoss,
  type LossKind,
  makeNetwork,
  type NetworkNode,
  solveWithLosses,
  teeLaw,
  threeKLoss,
  valveLoss,
  waterAt,
} from '@yew-basin/core/lab'
import { randomFrom } from '../attack/random.mjs'
import { problemOf } from './problem.ts'
import { PUMPS, type ThingLink, type ThingNetwork } from './thing-network.ts'

const WATER = waterAt({ salinityPpt: 35, temperatureC: 25 })
const SIZES = [
  { boreM: 0.0153, tradeSizeIn: 0.5 },
  { boreM: 0.0204, tradeSizeIn: 0.75 },
  { boreM: 0.0261, tradeSizeIn: 1 },
  { boreM: 0.0345, tradeSizeIn: 1.25 },
] as const
const MOST_TAKEOFFS = 9

type Size = (typeof SIZES)[number]

/**
 * A return side as keepers build them, by a seed: one pump or two, a manifold with takeoffs back to
 * the sump and nozzles at the tank, valves part closed, devices, ribbed hose, and now and then a
 * bypass that joins again.
 */
export function randomNetwork(seed: number): ThingNetwork {
  for (let attempt = 0; ; attempt++) {
    const network = new Builder(seed, attempt).build()
    if (doesItsJob(network)) return network
  }
}

/** So much of what it could give each pump gives, and so much of all every tank's end gets: none would keep what does less. */
const LEAST_SHARE = 0.15

function doesItsJob(network: ThingNetwork): boolean {
  const { flows, unsettledLinkId } = solveWithLosses(makeNetwork(problemOf(network)))
  if (unsettledLinkId !== null) return false
  const { nodes, links } = network
  const pumped = links.reduce((sum, { pump }, l) => sum + (pump ? flows.flowsM3PerS[l]! : 0), 0)
  return links.every(({ to, pump }, l) => {
    const isTank = (nodes[to]!.headM ?? 0) > 0
    const flow = flows.flowsM3PerS[l]!
    const couldGive = pump ? pump.speed * pump.curve.freeFlowM3PerS : 0
    return (
      flow >= LEAST_SHARE * Math.max(couldGive, isTank ? pumped : -Infinity) || !(isTank || pump)
    )
  })
}

class Builder {
  readonly #random: () => number
  readonly #name: string
  readonly #nodes: {
    id: string
    headM: number | null
    legs: [number, number, number] | null
    runM: number
  }[] = []
  readonly #links: ThingLink[] = []

  constructor(seed: number, attempt: number) {
    this.#random = randomFrom(seed * 7919 + 13 + attempt * 1_000_003)
    this.#name = `network ${seed}`
  }

  build(): ThingNetwork {
    const trunk = this.#pick(SIZES.slice(1))
    const sump = this.#known('sump', 0)
    let before = this.#run('riser', trunk, 0.3 + this.#random(), { pump: true })
    let from = sump
    const takeoffs = Math.floor(this.#random() * (MOST_TAKEOFFS + 1))
    if (this.#random() < 0.25) {
      const twin = this.#run('twin', trunk, 0.3 + this.#random(), { pump: true, check: true })
      const tee = this.#tee('joint', trunk)
      this.#put(before, from, tee)
      this.#put(twin, sump, tee, { to: 2 })
      before = this.#run('after joint', trunk, 0.2)
      from = tee
    }
    for (let n = 0; n < takeoffs; n++) {
      const tee = this.#tee(`tee ${n}`, trunk)
      this.#put(before, from, tee)
      this.#takeoff(n, tee, sump, trunk)
      before = this.#run(`manifold ${n}`, trunk, 0.05 + 0.2 * this.#random())
      from = tee
    }
    this.#ends(before, from, trunk)
    return {
      name: this.#name,
      nodes: this.#nodes.map(({ id, headM, legs, runM }): NetworkNode => ({
        id,
        headM,
        tee: legs && { law: teeLaw(runM, runM), legs },
      })),
      links: this.#links,
      water: WATER,
    }
  }

  /** A takeoff behind a valve, back to the sump. */
  #takeoff(n: number, tee: number, sump: number, trunk: Size): void {
    const size = this.#pick(SIZES.slice(0, 3))
    const link = this.#run(`takeoff ${n}`, size, 0.3 + this.#random(), {
      valve: true,
      exit: true,
      device: this.#random() < 0.4,
      adaptFrom: trunk,
    })
    this.#put(link, tee, sump, { from: 2 })
  }

  /** One nozzle, or two by a tee, in air or under water. */
  #ends(before: ThingLink, from: number, trunk: Size): void {
    const nozzle = (name: string, size: Size) =>
      this.#run(name, size, 1 + this.#random(), {
        exit: true,
        valve: this.#random() < 0.3,
        inAir: this.#random() < 0.6,
        elbows: 3,
      })
    if (this.#random() < 0.5) {
      const whole = { ...before, ...joined(before, nozzle('nozzle', trunk)) }
      this.#put(whole, from, this.#known('tank', 1.1 + 0.4 * this.#random()))
      return
    }
    const tee = this.#tee('last', trunk)
    this.#put(before, from, tee)
    const high = 1.1 + 0.4 * this.#random()
    this.#put(nozzle('left', trunk), tee, this.#known('left end', high))
    this.#put(nozzle('right', trunk), tee, this.#known('right end', high + 0.03 * this.#random()), {
      from: 2,
    })
  }

  #pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.#random() * list.length)]!
  }

  #known(id: string, headM: number): number {
    return this.#nodes.push({ id, headM, legs: null, runM: 0 }) - 1
  }

  #tee(id: string, { boreM }: Size): number {
    return this.#nodes.push({ id, headM: null, legs: [-1, -1, -1], runM: boreM }) - 1
  }

  /** Puts a link between two nodes, onto a leg of the one it ends at and of the one it leaves. */
  #put(
    link: ThingLink,
    from: number,
    to: number,
    legs: { readonly to?: number; readonly from?: number } = {},
  ): void {
    const place = this.#links.push({ ...link, from, to }) - 1
    const start = this.#nodes[from]!
    const end = this.#nodes[to]!
    if (start.legs) start.legs[legs.from ?? 1] = place
    if (end.legs) end.legs[legs.to ?? 0] = place
  }

  #run(
    id: string,
    { boreM, tradeSizeIn }: Size,
    lengthM: number,
    has: {
      readonly pump?: boolean
      readonly check?: boolean
      readonly valve?: boolean
      readonly device?: boolean
      readonly exit?: boolean
      readonly inAir?: boolean
      readonly elbows?: number
      readonly adaptFrom?: Size
    } = {},
  ): ThingLink {
    const fitting = (
      k: number,
      km = 0,
      kind: LossKind | 'exit' = 'fitting',
      onM = boreM,
    ): FittingLoss => ({
      boreM: onM,
      loss: { k, km },
      kind,
    })
    const elbow = threeKLoss('elbow-90', tradeSizeIn)
    const elbows = has.elbows ?? Math.floor(this.#random() * 4)
    const opening = 0.25 + 0.6 * this.#random()
    const valve = valveLoss({ valve: 'gate-valve', tradeSizeIn, boreM, opening, kvM3PerH: null })!
    const part = this.#pick(PUMPS)
    const ribbed = this.#random() < 0.15
    const smaller =
      has.adaptFrom && has.adaptFrom.boreM > boreM ? (boreM / has.adaptFrom.boreM) ** 2 : 1
    const frictions: FrictionLoss[] = [
      { boreM, lengthM, roughnessM: 1.5e-6, factor: ribbed ? 2 : 1, ribbed },
    ]
    return {
      id,
      from: 0,
      to: 0,
      frictions,
      fittings: [
        ...Array.from({ length: elbows }, () => fitting(elbow.k, elbow.km)),
        ...(has.valve ? [fitting(valve.k, valve.km, 'part-closed-valve')] : []),
        ...(has.device ? [fitting(3 + 20 * this.#random(), 0, 'device')] : []),
        ...(has.check ? [fitting(threeKLoss('check-swing', tradeSizeIn).k, 1500)] : []),
        ...(smaller < 1 ? [fitting(0.5 * (1 - smaller))] : []),
        ...(has.exit ? [fitting(1, 0, 'exit')] : []),
      ],
      tables: [],
      pump: has.pump
        ? {
            curve: pumpCurve(part),
            outletBoreM: part.outletBoreM,
            speed: 0.75 + 0.25 * this.#random(),
            stopped: false,
          }
        : null,
      oneWay: (has.check ?? false) || (has.inAir ?? false),
      shut: false,
    }
  }
}

/** Two stretches that no tee parts. */
function joined(first: ThingLink, then: ThingLink): Partial<ThingLink> {
  return {
    frictions: [...first.frictions, ...then.frictions],
    fittings: [...first.fittings, ...then.fittings],
    oneWay: first.oneWay || then.oneWay,
  }
}
