import { SPREAD_KINDS, type SpreadKind, TEE_LEAST_SPREAD, TEE_SPREAD } from '../fitting/index.ts'
import { zeros } from '../numeric/index.ts'
import { FORCED_BACK_K, pumpSpreadM } from '../pump/index.ts'
import { type Band, bandOf, piecesOf, type PumpShare, total } from './band.ts'
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
  /** S of live links, flows down: row e, column l. */
  readonly #moves: number[]
  /** +1 where a link's own direction leads down, −1 up; nil where nothing flows. */
  readonly #down: number[]
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
    const count = live.length
    this.#network = network
    this.#place = zeros(problem.links.length)
    for (let l = 0; l < this.#place.length; l++) this.#place[l] = -1
    for (let i = 0; i < count; i++) this.#place[live[i]!] = i
    this.#moves = zeros(count * count)
    this.#spreads = {
      links: count,
      sums: zeros(count * KIND_COUNT),
      squares: zeros(count * KIND_COUNT),
    }
    this.#pumps = zeros(count)
    this.#byLink = zeros(count)
    this.#direct = zeros(count)
    this.#down = zeros(count)
    for (let i = 0; i < count; i++) {
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
    for (let kind = 0; kind < KIND_COUNT; kind++) {
      for (let l = 0; l < count; l++) all[l] = all[l]! + squares[kind * count + l]!
    }
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
    return e < 0 || l < 0 ? 0 : this.#down[e]! * this.#moves[e * this.#down.length + l]!
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
    for (let l = 0; l < this.#pumps.length; l++) {
      const by = this.#pumpMoves(l, moves.losses)
      if (this.#pumps[l] !== 0) pumps.push({ link: this.#network.live[l]!, share: by * by })
    }
    return bandOf(this.#moved, pumps)
  }

  /** Its half width alone. */
  width(moves: Moves): number {
    this.#weigh(moves)
    const { losses } = moves
    const pieces = piecesOf(this.#moved.sums, this.#squareOfPieces(losses))
    return Math.sqrt(pieces + this.#squareOfPumps(losses))
  }

  #squareOfPumps(losses: Moves['losses']): number {
    let square = 0
    for (let i = 0; i < this.#withPump.length; i++) {
      const by = this.#pumpMoves(this.#withPump[i]!, losses)
      square += by * by
    }
    return square
  }

  /** How a metre more lost in each link moves the figure, through the flows and directly; and what the pieces of each kind do, added up. */
  #weigh({ flows, losses }: Moves): void {
    const byLink = this.#byLink
    const direct = this.#direct
    for (let l = 0; l < byLink.length; l++) byLink[l] = 0
    if (losses) for (let l = 0; l < direct.length; l++) direct[l] = 0
    for (let f = 0; f < flows.length; f++) this.#addFlow(flows[f]!)
    this.#addKinds()
    if (losses) this.#addDirect(losses)
  }

  #addFlow({ link, by }: Moves['flows'][number]): void {
    const e = this.#place[link]!
    if (e < 0 || by === 0) return
    const byLink = this.#byLink
    const moves = this.#moves
    const count = byLink.length
    const row = e * count
    const down = by * this.#down[e]!
    for (let l = 0; l < count; l++) byLink[l] = byLink[l]! + down * moves[row + l]!
  }

  /** What the pieces move it by through the flows: all kinds side by side, as the processor adds. */
  #addKinds(): void {
    const { sums } = this.#spreads
    const byLink = this.#byLink
    const count = byLink.length
    let fittings = 0
    let tees = 0
    let valves = 0
    let devices = 0
    let friction = 0
    for (let l = 0; l < count; l++) {
      const by = byLink[l]!
      fittings += by * sums[l]!
      tees += by * sums[count + l]!
      valves += by * sums[2 * count + l]!
      devices += by * sums[3 * count + l]!
      friction += by * sums[4 * count + l]!
    }
    const moved = this.#moved.sums
    moved[0] = fittings
    moved[1] = tees
    moved[2] = valves
    moved[3] = devices
    moved[4] = friction
  }

  #addDirect({ links, kinds, by }: NonNullable<Moves['losses']>): void {
    const count = this.#byLink.length
    const { sums } = this.#moved
    for (const link of links) {
      const l = this.#place[link]!
      if (l < 0) continue
      this.#direct[l] = this.#direct[l]! + by
      for (const k of this.#kinds) {
        if (!kinds.includes(SPREAD_KINDS[k]!)) continue
        sums[k] = sums[k]! + by * this.#spreads.sums[k * count + l]!
      }
    }
  }

  /** Σ (S d)² of all pieces. */
  #squareOfPieces(losses: Moves['losses']): number {
    if (losses) {
      this.#addSquares(losses)
      return total(this.#moved.squares)
    }
    const byLink = this.#byLink
    const squares = this.#squares
    let square = 0
    for (let l = 0; l < byLink.length; l++) square += byLink[l]! * byLink[l]! * squares[l]!
    return square
  }

  /** The same of the pieces of each kind. */
  #addSquares(losses: Moves['losses']): void {
    const { squares } = this.#spreads
    const byLink = this.#byLink
    const direct = this.#direct
    const count = byLink.length
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
      const { up, a, b, upLeg, aLeg, bLeg } = tree.tees[t]!
      const law = laws[t]
      if (!law) continue
      askTee(network, t, law, tee)
      this.#addLeg(up, upLeg)
      this.#addLeg(a, aLeg)
      this.#addLeg(b, bLeg)
    }
  }

  #addLeg(link: number, leg: number): void {
    const { tee, flow } = this.#network
    if (link < 0 || leg === tee.common || flow[link] === 0) return
    const ownM = TEE_SPREAD * Math.abs(tee.headM[leg]!)
    addPiece(this.#spreads, TEES, link, Math.max(ownM, TEE_LEAST_SPREAD * tee.velocityHeadM))
  }

  /** A metre more lost along the flow of each link that is uncertain, on the matrix that is factored anyway. */
  #findMoves(): void {
    const { flow, tree, matrix } = this.#network
    const down = this.#down
    const lostM = this.#byLink
    for (let l = 0; l < flow.length; l++) {
      down[l] = flow[l] === 0 ? 0 : tree.sign[l]!
      lostM[l] = !this.#isUncertain(l) ? 0 : flow[l]! < 0 ? -down[l]! : down[l]!
    }
    matrix.solveLosses(lostM, this.#moves)
  }

  #isUncertain(l: number): boolean {
    return this.#pumps[l] !== 0 || this.#squares[l] !== 0
  }
}
