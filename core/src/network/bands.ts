import { SPREAD_KINDS, type SpreadKind } from '../fitting/index.ts'
import { Scratch, zeros } from '../numeric/index.ts'
import { FORCED_BACK_K, pumpSpreadM } from '../pump/index.ts'
import { type Band, bandOf, piecesOf, type PumpShare, total } from './band.ts'
import type { LinkSearch } from './laws.ts'
import { addLinkSpread, KIND_COUNT, type SpreadSums } from './link-spread.ts'
import type { Network } from './network.ts'
import { widthsOfFlows } from './flow-widths.ts'
import { Sweep } from './sweep.ts'
import { addTeeSpreads } from './tee-spread.ts'
import type { Slopes } from './slopes.ts'
import { TreeMatrix } from './tree-matrix.ts'

/** How a figure moves with the flows of links, and with what is uncertain itself. */
export interface Moves {
  /** d(figure)/d(flow) of links, by their place in the problem. */
  readonly flows: readonly { readonly link: number; readonly by: number }[]
  /** What the head lost in these links adds to it directly: their pieces of these kinds, or their pumps. */
  readonly losses?: {
    readonly links: readonly number[]
    readonly kinds: readonly SpreadKind[]
    readonly pumps: boolean
    readonly by: number
  }
}

/** What each link brings of one figure, through the flows and directly. */
const BY_LINK = new Scratch()
const DIRECT = new Scratch()

/** Where a list holds anything. */
function placesOf(list: readonly number[]): number[] {
  const places: number[] = []
  for (let i = 0; i < list.length; i++) if (list[i] !== 0) places.push(i)
  return places
}

/**
 * The bands of all that hangs on a network's flows, to first order, from where it was solved: S(e, l)
 * is the change of flow e for a metre more head lost along the flow of link l, all else free, the
 * tees' K moving with the flows; each uncertain thing has a spread d in metres of head (hydraulics
 * reference, §3). Made before the network is moved on; asked whenever.
 */
export class Bands {
  readonly #network: Pick<Network, 'tree' | 'live' | 'problem'>
  /** Of each link its place among the live ones; −1: none. */
  readonly #place: readonly number[]
  readonly #slopes: Slopes
  readonly #spreads: SpreadSums
  /** Σ d² of each link's pieces of all kinds. */
  readonly #squares: number[]
  /** The kinds that any link has a piece of. */
  readonly #kinds: readonly number[]
  readonly #pumps: number[]
  /** Links whose pump brings a band. */
  readonly #withPump: readonly number[]
  /** +1 where a link's own direction leads down, −1 up; and where its flow runs down or up; nil where nothing flows. */
  readonly #down: number[]
  readonly #along: number[]
  /** Half widths of all flows by themselves; null: not asked for. */
  #ofFlows: number[] | null = null
  /** Answers flows to losses the other way round; null: not asked for. */
  #turned: TreeMatrix | null = null
  /** What one figure is moved by, by kind; read at once. */
  readonly #moved = { sums: zeros(KIND_COUNT), squares: zeros(KIND_COUNT) }

  constructor(network: Network) {
    const { tree, live, problem, flow } = network
    const count = live.length
    this.#network = { tree, live, problem }
    this.#place = tree.place
    this.#slopes = network.matrix.slopes()
    this.#spreads = {
      links: count,
      sums: zeros(count * KIND_COUNT),
      squares: zeros(count * KIND_COUNT),
    }
    this.#pumps = zeros(count)
    this.#down = zeros(count)
    this.#along = zeros(count)
    for (let i = 0; i < count; i++) {
      addLinkSpread(this.#spreads, i, network.searches[i]!, flow[i]!)
      if (network.searches[i]!.pump) this.#addPump(network.searches[i]!, i, flow[i]!)
      this.#down[i] = flow[i] === 0 ? 0 : tree.sign[i]!
      this.#along[i] = flow[i]! < 0 ? -this.#down[i]! : this.#down[i]!
    }
    addTeeSpreads(this.#spreads, network)
    this.#squares = zeros(count)
    this.#kinds = this.#addSquaresUp()
    this.#withPump = placesOf(this.#pumps)
  }

  /** Adds the squares of all kinds up; the kinds that any link has a piece of. */
  #addSquaresUp(): number[] {
    const all = this.#squares
    const { sums, squares } = this.#spreads
    const count = all.length
    const kinds: number[] = []
    for (let kind = 0; kind < KIND_COUNT; kind++) {
      const from = kind * count
      let most = 0
      for (let l = 0; l < count; l++) {
        all[l] = all[l]! + squares[from + l]!
        if (sums[from + l]! > most) most = sums[from + l]!
      }
      if (most > 0) kinds.push(kind)
    }
    return kinds
  }

  /** S(e, l) for links by their place in the problem, m²/s; nil where one of them carries nothing. */
  sensitivity(flow: number, lossIn: number): number {
    const l = this.#place[lossIn]!
    if (l < 0) return 0
    this.#weighFlows([{ link: flow, by: 1 }])
    return BY_LINK.atLeast(this.#down.length)[l]!
  }

  /** The band of one link's flow, m³/s. */
  ofFlow(link: number): Band {
    return this.of({ flows: [{ link, by: 1 }] })
  }

  /** The band of a figure by how it moves. */
  of(moves: Moves): Band {
    this.#weigh(moves)
    this.#addSquares(moves.losses)
    const pumps: PumpShare[] = []
    for (let i = 0; i < this.#withPump.length; i++) {
      const l = this.#withPump[i]!
      const by = this.#pumpMoves(l, moves.losses)
      pumps.push({ link: this.#network.live[l]!, share: by * by })
    }
    return bandOf(this.#moved, pumps)
  }

  /** Its half width alone. */
  width(moves: Moves): number {
    const { flows, losses } = moves
    if (flows.length === 1 && !losses) return this.#widthOfFlow(flows[0]!)
    return this.#widthOfAny(moves)
  }

  #widthOfFlow({ link, by }: Moves['flows'][number]): number {
    const e = this.#place[link]!
    if (e < 0) return 0
    this.#ofFlows ??= this.#widthsOfFlows()
    return Math.abs(by) * this.#ofFlows[e]!
  }

  #widthOfAny(moves: Moves): number {
    this.#weigh(moves)
    this.#addSquares(moves.losses)
    const { sums, squares } = this.#moved
    let pumps = 0
    for (let i = 0; i < this.#withPump.length; i++) {
      const by = this.#pumpMoves(this.#withPump[i]!, moves.losses)
      pumps += by * by
    }
    return Math.sqrt(piecesOf(sums, total(squares)) + pumps)
  }

  #widthsOfFlows(): number[] {
    const { tree, live } = this.#network
    const sweep = Sweep.of(tree, this.#slopes)
    if (!sweep) return live.map((link) => this.#widthOfAny({ flows: [{ link, by: 1 }] }))
    return widthsOfFlows(sweep, {
      along: this.#along,
      spreads: this.#spreads,
      kinds: this.#kinds,
      squares: this.#squares,
      pumps: this.#pumps,
    })
  }

  /** How a metre more lost in each link moves the figure, through the flows and directly; and what the pieces of each kind do, added up. */
  #weigh({ flows, losses }: Moves): void {
    this.#weighFlows(flows)
    this.#addKinds()
    if (!losses) return
    const direct = DIRECT.atLeast(this.#down.length)
    for (let l = 0; l < this.#down.length; l++) direct[l] = 0
    this.#addDirect(losses)
  }

  /** Through the flows: what all of them together answer, the other way round. */
  #weighFlows(flows: Moves['flows']): void {
    const count = this.#down.length
    const byLink = BY_LINK.atLeast(count)
    for (let l = 0; l < count; l++) byLink[l] = 0
    for (let f = 0; f < flows.length; f++) {
      const { link, by } = flows[f]!
      const e = this.#place[link]!
      if (e >= 0) byLink[e] = byLink[e]! + by * this.#down[e]!
    }
    const { tree, problem } = this.#network
    this.#turned ??= TreeMatrix.turned(tree, problem.nodes.length, this.#slopes)
    this.#turned.solveLosses(byLink)
    const { flow } = this.#turned
    for (let l = 0; l < count; l++) byLink[l] = this.#along[l]! * flow[l]!
  }

  /** What the pieces of each kind move it by through the flows; one that no link has a piece of stays at nil. */
  #addKinds(): void {
    const count = this.#down.length
    const byLink = BY_LINK.atLeast(count)
    for (const k of this.#kinds) {
      let sum = 0
      for (let l = 0; l < count; l++) sum += byLink[l]! * this.#spreads.sums[k * count + l]!
      this.#moved.sums[k] = sum
    }
  }

  #addDirect({ links, kinds, by }: NonNullable<Moves['losses']>): void {
    const count = this.#down.length
    const direct = DIRECT.atLeast(count)
    const { sums } = this.#moved
    for (const link of links) {
      const l = this.#place[link]!
      if (l < 0) continue
      direct[l] = direct[l]! + by
      for (const k of this.#kinds) {
        if (!kinds.includes(SPREAD_KINDS[k]!)) continue
        sums[k] = sums[k]! + by * this.#spreads.sums[k * count + l]!
      }
    }
  }

  /** Σ (S d)² of the pieces of each kind; one that no link has a piece of stays at nil. */
  #addSquares(losses: Moves['losses']): void {
    const { squares } = this.#spreads
    const count = this.#down.length
    const byLink = BY_LINK.atLeast(count)
    const direct = DIRECT.atLeast(count)
    for (const k of this.#kinds) {
      const isDirect = losses?.kinds.includes(SPREAD_KINDS[k]!) ?? false
      let square = 0
      for (let l = 0; l < count; l++) {
        const by = isDirect ? byLink[l]! + direct[l]! : byLink[l]!
        square += by * by * squares[k * count + l]!
      }
      this.#moved.squares[k] = square
    }
  }

  #pumpMoves(l: number, losses: Moves['losses']): number {
    const count = this.#down.length
    const direct = losses?.pumps ? DIRECT.atLeast(count)[l]! : 0
    return (BY_LINK.atLeast(count)[l]! + direct) * this.#pumps[l]!
  }

  #addPump({ pump, pumpPerFlow2 }: LinkSearch, l: number, flow: number): void {
    if (!pump || flow === 0 || pump.stopped || pump.speed <= 0) return
    this.#pumps[l] = pumpSpreadM(pump, flow, FORCED_BACK_K * pumpPerFlow2)
  }
}
