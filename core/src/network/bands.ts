import { SPREAD_KINDS, type SpreadKind, TEE_LEAST_SPREAD, TEE_SPREAD } from '../fitting/index.ts'
import { zeros } from '../numeric/index.ts'
import { FORCED_BACK_K, pumpSpreadM } from '../pump/index.ts'
import { type Band, bandOf, piecesOf, type PumpShare } from './band.ts'
import type { LinkSearch } from './laws.ts'
import { addLinkSpread, addPiece, KIND_COUNT, type SpreadSums, TEES } from './link-spread.ts'
import type { Network } from './network.ts'
import { askTee } from './tees.ts'

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

const NO_LINKS: readonly number[] = []
const KINDS = SPREAD_KINDS.map((_, kind) => kind)

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
 * reference, §3). Asked before the network is moved on.
 */
export class Bands {
  readonly #network: Network
  readonly #place: number[]
  /** S of live links: row e, column l. */
  readonly #moves: number[]
  readonly #spreads: SpreadSums
  /** Σ d² of each link's pieces of all kinds. */
  readonly #squares: number[]
  /** The kinds that any link has a piece of. */
  readonly #kinds: readonly number[]
  readonly #pumps: number[]
  /** Links whose pump brings a band. */
  readonly #withPump: readonly number[]
  /** Room for one figure's weights. */
  readonly #byLink: number[]
  readonly #direct: number[]
  /** What one figure is moved by, by kind; read at once. */
  readonly #moved = { sums: zeros(KIND_COUNT), squares: zeros(KIND_COUNT) }

  constructor(network: Network) {
    const { live, problem } = network
    this.#network = network
    this.#place = zeros(problem.links.length).fill(-1)
    for (let i = 0; i < live.length; i++) this.#place[live[i]!] = i
    this.#moves = zeros(live.length * live.length)
    this.#spreads = {
      links: live.length,
      sums: zeros(live.length * KIND_COUNT),
      squares: zeros(live.length * KIND_COUNT),
    }
    this.#pumps = zeros(live.length)
    this.#byLink = zeros(live.length)
    this.#direct = zeros(live.length)
    for (let i = 0; i < live.length; i++) {
      addLinkSpread(this.#spreads, i, network.searches[i]!, network.flow[i]!)
      this.#addPump(network.searches[i]!, i, network.flow[i]!)
    }
    this.#addTees()
    this.#squares = this.#squaresOfAll()
    this.#kinds = KINDS.filter((kind) => this.#hasKind(kind))
    this.#withPump = placesOf(this.#pumps)
    this.#findMoves()
  }

  #squaresOfAll(): number[] {
    const count = this.#byLink.length
    const all = zeros(count)
    const { squares } = this.#spreads
    for (let i = 0; i < squares.length; i++) all[i % count] = all[i % count]! + squares[i]!
    return all
  }

  #hasKind(kind: number): boolean {
    const count = this.#byLink.length
    for (let l = 0; l < count; l++) if (this.#spreads.sums[kind * count + l] !== 0) return true
    return false
  }

  /** S(e, l) for links by their place in the problem, m²/s; nil where one of them carries nothing. */
  sensitivity(flow: number, lossIn: number): number {
    const e = this.#place[flow]!
    const l = this.#place[lossIn]!
    return e < 0 || l < 0 ? 0 : this.#moves[e * this.#network.live.length + l]!
  }

  /** The band of one link's flow, m³/s. */
  ofFlow(link: number): Band {
    return this.of({ flows: [{ link, by: 1 }] })
  }

  /** The band of a figure by how it moves. */
  of(moves: Moves): Band {
    this.#weigh(moves)
    const pumps: PumpShare[] = []
    for (let l = 0; l < this.#pumps.length; l++) {
      const by = this.#pumpMoves(l, moves.losses)
      if (this.#pumps[l] !== 0) pumps.push({ link: this.#network.live[l]!, share: by * by })
    }
    return bandOf(this.#moved, pumps)
  }

  /** Its half width alone. */
  width(moves: Moves): number {
    this.#weigh(moves)
    return Math.sqrt(piecesOf(this.#moved) + this.#squareOfPumps(moves.losses))
  }

  #squareOfPumps(losses: Moves['losses']): number {
    let square = 0
    for (let i = 0; i < this.#withPump.length; i++) {
      const by = this.#pumpMoves(this.#withPump[i]!, losses)
      square += by * by
    }
    return square
  }

  /** How a metre more lost in each link moves the figure, through the flows and directly; so what each kind does. */
  #weigh(moves: Moves): void {
    this.#weighFlows(moves)
    const { losses } = moves
    const direct = this.#direct
    for (let l = 0; l < direct.length; l++) direct[l] = 0
    for (const link of losses?.links ?? NO_LINKS) {
      const l = this.#place[link]!
      if (l >= 0) direct[l] = direct[l]! + losses!.by
    }
    this.#addKinds(losses)
  }

  /** Through the flows alone. */
  #weighFlows({ flows }: Moves): void {
    const byLink = this.#byLink
    const moves = this.#moves
    const count = byLink.length
    for (let l = 0; l < count; l++) byLink[l] = 0
    for (let f = 0; f < flows.length; f++) {
      const { link, by } = flows[f]!
      const row = this.#place[link]! * count
      if (row < 0 || by === 0) continue
      for (let l = 0; l < count; l++) byLink[l] = byLink[l]! + by * moves[row + l]!
    }
  }

  /** What the pieces of each kind move it by, added up, and their squares. */
  #addKinds(losses: Moves['losses']): void {
    const { sums, squares } = this.#spreads
    const byLink = this.#byLink
    const count = byLink.length
    // A kind that no link has a piece of stays at nil.
    for (const k of this.#kinds) {
      const isDirect = losses?.kinds.includes(SPREAD_KINDS[k]!) ?? false
      let sum = 0
      let square = 0
      for (let l = 0; l < count; l++) {
        const by = isDirect ? byLink[l]! + this.#direct[l]! : byLink[l]!
        sum += by * sums[k * count + l]!
        square += by * by * squares[k * count + l]!
      }
      this.#moved.sums[k] = sum
      this.#moved.squares[k] = square
    }
  }

  #pumpMoves(l: number, losses: Moves['losses']): number {
    return (this.#byLink[l]! + (losses?.pumps ? this.#direct[l]! : 0)) * this.#pumps[l]!
  }

  #addPump({ pump, pumpPerFlow2 }: LinkSearch, l: number, flow: number): void {
    if (!pump || flow === 0 || pump.stopped || pump.speed <= 0) return
    this.#pumps[l] = pumpSpreadM(pump, flow, FORCED_BACK_K * pumpPerFlow2)
  }

  /** Each leg but the common one is a thing of its own, in its link. */
  #addTees(): void {
    const network = this.#network
    const { tree, laws, tee } = network
    for (let t = 0; t < tree.tees.length; t++) {
      const place = tree.tees[t]!
      const law = laws[t]
      if (!law) continue
      askTee(network, place, law, tee)
      this.#addLeg(place.up, place.upLeg)
      this.#addLeg(place.a, place.aLeg)
      this.#addLeg(place.b, place.bLeg)
    }
  }

  #addLeg(link: number, leg: number): void {
    const { tee, flow } = this.#network
    if (link < 0 || leg === tee.common || flow[link] === 0) return
    const ownM = TEE_SPREAD * Math.abs(tee.headM[leg]!)
    addPiece(this.#spreads, TEES, link, Math.max(ownM, TEE_LEAST_SPREAD * tee.velocityHeadM))
  }

  /** One substitution a link on the matrix that is factored anyway. */
  #findMoves(): void {
    const { live, flow, matrix, tree } = this.#network
    const { sign } = tree
    const count = live.length
    const moves = this.#moves
    const running = this.#byLink
    for (let e = 0; e < count; e++) running[e] = flow[e] === 0 ? 0 : sign[e]!
    for (let l = 0; l < count; l++) {
      if (flow[l] === 0 || !this.#isUncertain(l)) continue
      matrix.solveLoss(l)
      const along = flow[l]! > 0 ? sign[l]! : -sign[l]!
      for (let e = 0; e < count; e++) moves[e * count + l] = along * running[e]! * matrix.flow[e]!
    }
  }

  #isUncertain(l: number): boolean {
    return this.#pumps[l] !== 0 || this.#squares[l] !== 0
  }
}
