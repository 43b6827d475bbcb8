import { applyEdits, pumpTooLarge } from '../design/index.ts'
import { choosePump } from '../editing/index.ts'
import { FOULED_SHARE } from '../finding/index.ts'
import { endLink } from '../layout/index.ts'
import {
  type LinkPump,
  makeNetwork,
  type Network,
  solveNetwork,
  withPumpAt,
} from '../network/index.ts'
import { boreOf, speedMPerS } from '../pipe/index.ts'
import { pumpCurve, type PumpPart, pumpPower, wirePowerW } from '../pump/index.ts'
import { rank, type RankedOption } from './rank.ts'
import { tankLines, type Variant, variants } from './variants.ts'
import type { SizedOption, SizingWish } from './wish.ts'

/** Options worth showing, and how many designs were looked at. */
export interface SizingAnswer {
  readonly looked: number
  /** All that reach what is wanted and do not run far past it. */
  readonly reaching: number
  readonly options: readonly RankedOption[]
  /** Flow and power of those that were tried and of use to draw: a sample of what reaches it or comes near. */
  readonly cloud: readonly { readonly flowM3PerS: number; readonly powerW: number }[]
}

/** Speeds of a controllable pump are tried in steps of this (choice). */
const SPEED_STEP = 0.01
/** Reached from this share of what is wanted, and up to the other (choice). */
const REACHED = { from: 0.98, to: 1.3 }
const MOST_IN_CLOUD = 400
/** Drawn from this share of what is wanted up to the other (choice). */
const NEAR = { from: 0.75, to: 1.4 }

/** Looks at every pump at every speed in every plumbing; tells how far it is after each plumbing. */
export function size(
  wish: SizingWish,
  newId: () => string,
  progress: (done: number, of: number) => void = () => undefined,
): SizingAnswer {
  const { design, pumpIndex, shelf } = wish
  const tried = variants(design, pumpIndex, newId)
  const { chamberId } = design.returnSide.pumps[pumpIndex]!
  const candidates: SizedOption[] = []
  const cloud: { flowM3PerS: number; powerW: number }[] = []
  let looked = 0
  // The drills of the few that are shown take as long as all that is looked at before.
  const all = 2 * tried.length
  const open = new Map<string, number>()
  tried.forEach((variant, i) => {
    const trial = new Trial(wish, variant, open)
    for (const part of shelf) {
      if (fits(part, variant) && !pumpTooLarge(part, design.sump, chamberId))
        looked += trial.pump(part, candidates, cloud)
    }
    progress(i + 1, all)
  })
  const every = Math.max(1, Math.ceil(cloud.length / MOST_IN_CLOUD))
  return {
    looked,
    reaching: candidates.length,
    options: rank(wish, rightlySized(candidates), (share) =>
      progress(Math.round(tried.length * (1 + share)), all),
    ),
    cloud: cloud.filter((_, i) => i % every === 0),
  }
}

/** Those with neither too little nor far too much to spare; where there are none, those that come nearest. */
function rightlySized(candidates: readonly SizedOption[]): readonly SizedOption[] {
  const offBy = ({ spare }: SizedOption) => Math.max(0, SPARE.from - spare, spare - SPARE.to)
  const least = candidates.reduce((low, option) => Math.min(low, offBy(option)), Infinity)
  return candidates.filter((option) => offBy(option) <= (least > 0 ? least + NEAR_SPARE : 0))
}

/** Pipe much narrower or wider than a pump's outlet is nobody's choice (choice). */
const BORE_OVER_OUTLET = { from: 0.55, to: 1.4 }
/** A pump that has so much to give, valve open and at full speed, over what is wanted is of the right size (choice). */
const SPARE = { from: 1.3, to: 2.5 }
/** Options this near in what they have to spare are alike, as a share of what is wanted (choice). */
const NEAR_SPARE = 0.1
/** Slower than this a pump runs far from where it was made for (choice). */
const LEAST_SPEED = 0.45
/** A pump that is turned far down counts with so much of its rated power, for ranking: it is no gain to buy one too large. */
const LEAST_POWER_SHARE = 0.2

function fits({ outletBoreM }: PumpPart, { size: own }: Variant): boolean {
  const share = boreOf(own).boreM / outletBoreM
  return share >= BORE_OVER_OUTLET.from && share <= BORE_OVER_OUTLET.to
}

/** One plumbing with its pump left open: the network is made once and each pump is set into it. */
class Trial {
  readonly #wish: SizingWish
  readonly #variant: Variant
  readonly #network: Network
  readonly #dial: { -readonly [Key in keyof LinkPump]: LinkPump[Key] }
  readonly #pumpLink: number
  readonly #into: readonly { readonly wantedM3PerS: number; readonly links: readonly number[] }[]
  /** Lines that want a flow of their own: they must reach it, and a valve can take off what is too much. */
  readonly #wanting: readonly { readonly wantedM3PerS: number; readonly link: number }[]
  readonly #bores: readonly { readonly link: number; readonly boreM: number }[]
  readonly #sizes: number
  /** What each pump brings into each plumbing with its valve open, over what is wanted. */
  readonly #open: Map<string, number>

  constructor(wish: SizingWish, variant: Variant, open: Map<string, number>) {
    this.#open = open
    const { layout } = variant
    const { pumpIndex, design } = wish
    this.#wish = wish
    this.#variant = variant
    this.#pumpLink = layout.segments[layout.pumps[pumpIndex]!.lineIndex!]![0]!.link
    this.#dial = { ...layout.problem.links[this.#pumpLink]!.pump!, stopped: false }
    this.#network = makeNetwork(withPumpAt(layout.problem, this.#pumpLink, this.#dial))
    this.#into = design.tanks.map(({ id }) => ({
      wantedM3PerS: wish.wantedByTank[id] ?? 0,
      links: layout.lines.flatMap(({ line, index }) =>
        line.end.at === 'tank' && line.end.id === id ? [endLink(layout, index)] : [],
      ),
    }))
    this.#wanting = layout.lines.flatMap(({ line, index }) =>
      line.wantedFlowM3PerS !== null
        ? [
            {
              wantedM3PerS: line.wantedFlowM3PerS,
              link: endLink(layout, index),
            },
          ]
        : [],
    )
    const after = applyEdits(design, variant.edits)
    const lines = tankLines(after, pumpIndex)
    this.#bores = lines.flatMap((index) =>
      layout.segments[index]!.map(({ link, firstPiece }) => ({
        link,
        boreM:
          layout.lines[index]!.placed[firstPiece]?.boreBeforeM ??
          boreOf(layout.lines[index]!.line.run.size).boreM,
      })),
    )
    this.#sizes = new Set(
      after.returnSide.lines.flatMap(({ run: { size: own, pieces } }) => [
        `${own.series} ${own.size}`,
        ...pieces.flatMap((piece) =>
          piece.kind === 'reducer' ? [`${piece.to.series} ${piece.to.size}`] : [],
        ),
      ]),
    ).size
  }

  /** Every speed of one pump, fastest first; how many were looked at. */
  pump(
    part: PumpPart,
    candidates: SizedOption[],
    cloud: { flowM3PerS: number; powerW: number }[],
  ): number {
    this.#dial.curve = pumpCurve(part)
    this.#dial.outletBoreM = part.outletBoreM
    const power = pumpPower(part)
    const speeds = speedsOf(part)
    let from: number[] | undefined
    let atFull = 0
    for (const speed of speeds) {
      this.#dial.speed = speed
      const solved = solveNetwork(this.#network, from)
      if (!solved.ok) continue
      from = solved.value.flowsM3PerS
      const { met, over, flowM3PerS } = this.#reach(from)
      if (speed === speeds[0]) {
        atFull = met
        if (this.#variant.opening === 1) this.#open.set(this.#key(part), met)
      }
      const wireW = wirePowerW(power, Math.max(0, from[this.#pumpLink]!), speed)
      if (met > NEAR.from && over < NEAR.to) cloud.push({ flowM3PerS, powerW: wireW })
      if (met < REACHED.from || over > REACHED.to) continue
      candidates.push(
        this.#candidate(part, { speed, met, flowM3PerS, wirePower: wireW, atFull, flows: from }),
      )
    }
    return speeds.length
  }

  #key({ id }: PumpPart): string {
    const { size: own, nozzles } = this.#variant
    return `${id}/${own.size}/${nozzles}`
  }

  #candidate(
    part: PumpPart,
    {
      speed,
      met,
      flowM3PerS,
      wirePower,
      atFull,
      flows,
    }: {
      readonly speed: number
      readonly met: number
      readonly flowM3PerS: number
      readonly wirePower: number
      readonly atFull: number
      readonly flows: number[]
    },
  ): SizedOption {
    const { size: own, nozzles, opening, edits } = this.#variant
    return {
      part,
      speed,
      size: own,
      nozzles,
      opening,
      met,
      flowM3PerS,
      wirePowerW: wirePower,
      fastestMPerS: this.#bores.reduce(
        (most, { link, boreM }) => Math.max(most, speedMPerS(Math.abs(flows[link]!), boreM)),
        0,
      ),
      reserve: FOULED_SHARE * atFull,
      spare: this.#open.get(this.#key(part)) ?? atFull,
      rankedPowerW: Math.max(wirePower, LEAST_POWER_SHARE * part.ratedPowerW),
      sizes: this.#sizes,
      edits: [...edits, ...choosePump(this.#wish.design, this.#wish.pumpIndex, part, speed)],
    }
  }

  #reach(flows: number[]): { met: number; over: number; flowM3PerS: number } {
    let met = Infinity
    let over = 0
    let total = 0
    for (const { wantedM3PerS, links } of this.#into) {
      let flow = 0
      for (const link of links) flow += flows[link]!
      total += flow
      if (wantedM3PerS <= 0) continue
      met = Math.min(met, flow / wantedM3PerS)
      over = Math.max(over, flow / wantedM3PerS)
    }
    for (const { wantedM3PerS, link } of this.#wanting) {
      met = Math.min(met, flows[link]! / wantedM3PerS)
    }
    return { met: met === Infinity ? 0 : met, over, flowM3PerS: total }
  }
}

/** Full speed first. */
function speedsOf(part: PumpPart): number[] {
  if (part.control === 'fixed-speed') return [1]
  const least = Math.max(LEAST_SPEED, part.leastSpeed)
  const steps = Math.floor((1 - least) / SPEED_STEP + 1e-9)
  return Array.from({ length: steps + 1 }, (_, i) => Math.round((1 - i * SPEED_STEP) * 1e4) / 1e4)
}
