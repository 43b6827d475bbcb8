import { DenseFactors, noPlaces, zeros } from '../numeric/index.ts'
import { AA, AB, atLeast, BA, BB, type Sides, type Slopes, TEE_SLOPES } from './slopes.ts'
import { BRANCHES, type ChordEnd, DRIVEN, type Tree } from './tree.ts'

/**
 * The linear system of a network's flows, dq: along each link, H(upper) − H(lower) = loss + slope dq;
 * at each tee, H(leg) − H(upper leg) = head + slopes · dq, and what comes down leaves. A tree is
 * eliminated from its leaves: below any link's upper end stands one head that hangs on one flow,
 * H = α + β dq. The few links that close loops are borders on that. Factored once, it is solved for as
 * many sides as are asked for.
 */
export class TreeMatrix {
  readonly tree: Tree
  /** Of each live link, s/m²; filled in before `factor`. */
  readonly slope: number[]
  /** Of each tee, from `TEE_SLOPES` times its place on. */
  readonly tees: number[]
  /** The answer: flow down each live link. */
  readonly flow: number[]
  /** Head at the upper leg of each tee. */
  readonly head: number[]
  /** Head at each chord's start and end. */
  readonly chordFrom: number[]
  readonly chordTo: number[]
  /** β of each live link that branches. */
  readonly #beta: number[]
  /** Of each tee whose legs both branch: what a metre more below leg b than below leg a sends down a, m²/s. */
  readonly #parts: number[]
  /** Of each tee: the share of a change of flow that goes down a. */
  readonly #share: number[]
  readonly #alpha: number[]
  readonly #kappa: number[]
  readonly #startA: number[]
  /** Head at each live link's upper end. */
  readonly #upper: number[]
  /** The chord on each tee's leg; −1: none. */
  readonly #chordA: number[]
  readonly #chordB: number[]
  readonly #chordFlow: number[]
  readonly #border: DenseFactors | null
  readonly #off: number[]
  readonly #nodes: number
  /** Nothing on any side; null: not asked for yet. */
  #zero: Sides | null = null

  constructor(tree: Tree, nodes: number) {
    const { live, tees, chords } = tree
    const ofLinks = () => zeros(live.length)
    const ofTees = () => zeros(tees.length)
    this.tree = tree
    this.slope = ofLinks()
    this.tees = zeros(TEE_SLOPES * tees.length)
    this.flow = ofLinks()
    this.head = ofTees()
    this.chordFrom = zeros(chords.length)
    this.chordTo = zeros(chords.length)
    this.#beta = ofLinks()
    this.#parts = ofTees()
    this.#share = ofTees()
    this.#alpha = ofLinks()
    this.#kappa = ofTees()
    this.#startA = ofTees()
    this.#upper = ofLinks()
    this.#chordA = noPlaces(tees.length)
    this.#chordB = noPlaces(tees.length)
    this.#chordFlow = zeros(chords.length)
    this.#off = zeros(chords.length)
    this.#border = chords.length > 0 ? new DenseFactors(chords.length) : null
    this.#nodes = nodes
    chords.forEach(({ from, to }, k) => {
      this.#hang(from, k)
      this.#hang(to, k)
    })
  }

  #hang({ tee, onA }: ChordEnd, chord: number): void {
    ;(onA ? this.#chordA : this.#chordB)[tee] = chord
  }

  /** The slopes as they stand, to be kept. */
  slopes(): Slopes {
    return { link: this.slope.slice(), tees: this.tees.slice() }
  }

  /**
   * The matrix whose answer of link l to a loss in e is the answer of e to a loss in l: legs a and b
   * of each tee change what they do to each other.
   */
  static turned(tree: Tree, nodes: number, slopes: Slopes): TreeMatrix {
    const matrix = new TreeMatrix(tree, nodes)
    for (let l = 0; l < slopes.link.length; l++) matrix.slope[l] = slopes.link[l]!
    for (let at = 0; at < slopes.tees.length; at += TEE_SLOPES) {
      matrix.tees[at + AA] = slopes.tees[at + AA]!
      matrix.tees[at + AB] = slopes.tees[at + BA]!
      matrix.tees[at + BA] = slopes.tees[at + AB]!
      matrix.tees[at + BB] = slopes.tees[at + BB]!
    }
    matrix.factor()
    return matrix
  }

  /** Takes the slopes as they stand. */
  factor(): void {
    const { tree, slope, tees } = this
    const beta = this.#beta
    for (let i = 0; i < tree.leaves.length; i++) beta[tree.leaves[i]!] = slope[tree.leaves[i]!]!
    for (let t = 0; t < tree.tees.length; t++) {
      const { up, a, b, aKind, bKind } = tree.tees[t]!
      const at = TEE_SLOPES * t
      if (aKind === BRANCHES && bKind === BRANCHES) {
        const belowA = beta[a]! - tees[at + AA]!
        const sumB = beta[b]! - tees[at + BB]! + tees[at + AB]!
        // Where a leg hardly runs a tee may give more than is asked: then it is negative.
        const parts = 1 / atLeast(belowA + tees[at + BA]! + sumB)
        const share = sumB * parts
        this.#parts[t] = parts
        this.#share[t] = share
        beta[up] = slope[up]! + belowA * share - tees[at + AB]! * (1 - share)
      } else if (aKind === BRANCHES) {
        this.#share[t] = 1
        beta[up] = slope[up]! + beta[a]! - tees[at + AA]!
      } else if (bKind === BRANCHES) {
        this.#share[t] = 0
        beta[up] = slope[up]! + beta[b]! - tees[at + BB]!
      } else {
        this.#share[t] = 0
      }
    }
    if (this.#border) this.#factorBorder(this.#border, this.#nothing())
  }

  #factorBorder(border: DenseFactors, zero: Sides): void {
    const { chords } = this.tree
    this.#noChordFlow()
    for (let k = 0; k < chords.length; k++) {
      this.#chordFlow[k] = 1
      this.#substitute(zero)
      this.#residuals(zero)
      for (let j = 0; j < chords.length; j++) border.a[j * chords.length + k] = this.#off[j]!
      this.#chordFlow[k] = 0
    }
    border.factor(chords.length)
  }

  #noChordFlow(): void {
    for (let k = 0; k < this.#chordFlow.length; k++) this.#chordFlow[k] = 0
  }

  /** Flows and heads that answer the sides. */
  solve(sides: Sides): void {
    this.#noChordFlow()
    this.#substitute(sides)
    if (!this.#border) return
    this.#residuals(sides)
    for (let k = 0; k < this.#off.length; k++) this.#off[k] = -this.#off[k]!
    this.#border.solve(this.#off, this.#chordFlow)
    this.#substitute(sides)
    const { chords } = this.tree
    for (let k = 0; k < chords.length; k++) this.flow[chords[k]!.link] = this.#chordFlow[k]!
  }

  /** Flows that answer so much more lost down each link, m, and nothing else. */
  solveLosses(lostM: readonly number[]): void {
    const { link } = this.#nothing()
    for (let l = 0; l < link.length; l++) link[l] = lostM[l]!
    this.solve(this.#nothing())
    for (let l = 0; l < link.length; l++) link[l] = 0
  }

  /** Nothing on any side. */
  #nothing(): Sides {
    return (this.#zero ??= noSides(this.tree, this.#nodes))
  }

  /** How far each chord is from its balance. */
  #residuals({ link }: Sides): void {
    const { chords } = this.tree
    for (let k = 0; k < chords.length; k++) {
      const l = chords[k]!.link
      const lostM = link[l]! + this.slope[l]! * this.#chordFlow[k]!
      this.#off[k] = lostM - this.chordFrom[k]! + this.chordTo[k]!
    }
  }

  #substitute(sides: Sides): void {
    this.#up(sides)
    const { tree, flow } = this
    const alpha = this.#alpha
    const upper = this.#upper
    for (let r = 0; r < tree.roots.length; r++) {
      const { link: l, node } = tree.roots[r]!
      const below = tree.below[l]!
      const isDriven = below >= 0 && tree.tees[below]!.driven
      upper[l] = sides.known[node]!
      flow[l] = isDriven ? this.#kappa[below]! : (upper[l] - alpha[l]!) / atLeast(this.#beta[l]!)
    }
    this.#down(sides)
  }

  /** From the roots to the leaves: what goes down each link, and the head of each tee. */
  #down({ link, legs, surplus }: Sides): void {
    const { tree, tees, flow, slope, head } = this
    const startA = this.#startA
    const share = this.#share
    const upper = this.#upper
    const hasChords = this.#border !== null
    for (let t = tree.tees.length - 1; t >= 0; t--) {
      const { up, a, b } = tree.tees[t]!
      const at = TEE_SLOPES * t
      const down = flow[up]!
      const downA = startA[t]! + share[t]! * down
      const downB = surplus[t]! + down - downA
      const headM = upper[up]! - link[up]! - slope[up]! * down
      head[t] = headM
      if (a >= 0) {
        flow[a] = downA
        upper[a] = headM + legs[2 * t]! + tees[at + AA]! * downA + tees[at + AB]! * downB
      }
      if (b >= 0) {
        flow[b] = downB
        upper[b] = headM + legs[2 * t + 1]! + tees[at + BA]! * downA + tees[at + BB]! * downB
      }
      if (hasChords) this.#chordEnds(t)
    }
  }

  /** Says the head at the end of each chord on a tee: it was taken for a branch. */
  #chordEnds(t: number): void {
    const { a, b, aSign, bSign } = this.tree.tees[t]!
    if (this.#chordA[t]! >= 0) this.#chordEnd(this.#chordA[t]!, aSign, this.#upper[a]!)
    if (this.#chordB[t]! >= 0) this.#chordEnd(this.#chordB[t]!, bSign, this.#upper[b]!)
  }

  #chordEnd(chord: number, sign: number, headM: number): void {
    if (sign > 0) this.chordFrom[chord] = headM
    else this.chordTo[chord] = headM
  }

  /** From the leaves to the roots: H of each link's upper end for no change of flow, and how that parts. */
  #up({ link, legs, surplus, known }: Sides): void {
    const { tree, tees } = this
    const alpha = this.#alpha
    const beta = this.#beta
    const startA = this.#startA
    for (let i = 0; i < tree.leaves.length; i++) {
      const l = tree.leaves[i]!
      alpha[l] = link[l]! + known[tree.farNode[l]!]!
    }
    for (let t = 0; t < tree.tees.length; t++) {
      const { up, a, b, aKind, bKind } = tree.tees[t]!
      if (aKind !== BRANCHES || bKind !== BRANCHES) {
        this.#upOne({ link, legs, surplus }, t)
        continue
      }
      const at = TEE_SLOPES * t
      const more = surplus[t]!
      const overA = alpha[a]! - legs[2 * t]!
      const overB = alpha[b]! - legs[2 * t + 1]!
      const downA = this.#share[t]! * more + (overB - overA) * this.#parts[t]!
      startA[t] = downA
      alpha[up] =
        link[up]! + overA + (beta[a]! - tees[at + AA]!) * downA - tees[at + AB]! * (more - downA)
    }
  }

  /** The same of a tee with a leg that does not branch. */
  #upOne({ link, legs, surplus }: Omit<Sides, 'known'>, t: number): void {
    const { tree, tees } = this
    const alpha = this.#alpha
    const { up, a, b, aKind, bKind, aSign, bSign } = tree.tees[t]!
    const at = TEE_SLOPES * t
    const more = surplus[t]!
    const drivenA = aKind === DRIVEN ? this.#kappaOf(a, this.#chordA[t]!, aSign) : 0
    const drivenB = bKind === DRIVEN ? this.#kappaOf(b, this.#chordB[t]!, bSign) : 0
    if (aKind === BRANCHES) {
      const downA = more - drivenB
      const perA = this.#beta[a]! - tees[at + AA]!
      this.#startA[t] = downA
      alpha[up] = link[up]! + alpha[a]! - legs[2 * t]! + perA * downA - tees[at + AB]! * drivenB
    } else if (bKind === BRANCHES) {
      const perB = this.#beta[b]! - tees[at + BB]!
      this.#startA[t] = drivenA
      alpha[up] =
        link[up]! +
        alpha[b]! -
        legs[2 * t + 1]! +
        perB * (more - drivenA) -
        tees[at + BA]! * drivenA
    } else {
      this.#startA[t] = drivenA
      this.#kappa[t] = drivenA + drivenB - more
    }
  }

  /** What goes down a leg whose flow is decided elsewhere. */
  #kappaOf(link: number, chord: number, sign: number): number {
    return chord < 0 ? this.#kappa[this.tree.below[link]!]! : sign * this.#chordFlow[chord]!
  }
}

function noSides({ live, tees }: Tree, nodes: number): Sides {
  return {
    link: zeros(live.length),
    legs: zeros(2 * tees.length),
    surplus: zeros(tees.length),
    known: zeros(nodes),
  }
}
