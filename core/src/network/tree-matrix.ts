import { DenseFactors, wholeZeros, zeros } from '../numeric/index.ts'
import { BRANCHES, type ChordEnd, DRIVEN, type Tree } from './tree.ts'

/** Least slope in the matrix, s/m²: a link without losses is pulled to balance instead of divided by zero. */
export const LEAST_RESISTANCE = 0.1

/** How a tee's leg heads move with the flows down its two legs, over its upper leg's head, s/m². */
export interface TeeSlopes {
  readonly aa: number[]
  readonly ab: number[]
  readonly ba: number[]
  readonly bb: number[]
}

/** What is added to the equations of links and tees; written into by who asks. All counted away from the root. */
export interface Sides {
  /** Head lost along each live link, m. */
  readonly link: number[]
  /** Head of each tee's legs over its upper leg, m. */
  readonly a: number[]
  readonly b: number[]
  /** What comes down to each tee more than leaves it, m³/s. */
  readonly surplus: number[]
  /** Head of each node that is known, m. */
  readonly known: number[]
}

/**
 * The linear system of a network's flows, dq: along each link, H(upper) − H(lower) = loss + slope dq;
 * at each tee, H(leg) − H(upper leg) = head + slopes · dq, and what comes down leaves. A tree is
 * eliminated from its leaves: below any link stands one head that hangs on one flow, H = α + β dq.
 * The few links that close loops are borders on that. Factored once, it is solved for as many sides as
 * are asked for.
 */
export class TreeMatrix {
  readonly tree: Tree
  /** Of each live link, s/m²; filled in before `factor`. */
  readonly slope: number[]
  readonly tees: TeeSlopes
  /** The answer: flow down each live link. */
  readonly flow: number[]
  /** Head at the upper leg of each tee. */
  readonly head: number[]
  /** Head at each chord's start and end. */
  readonly chordFrom: number[]
  readonly chordTo: number[]
  /** dH/dq of each tee's upper leg, and the share of a change of flow that goes down leg a. */
  readonly #perFlow: number[]
  readonly #share: number[]
  /** Slopes of both legs together. */
  readonly #both: number[]
  readonly #alpha: number[]
  readonly #kappa: number[]
  readonly #startA: number[]
  /** Head at each live link's upper end. */
  readonly #upper: number[]
  /** The chord on each tee's leg; −1: none. */
  readonly #chordA: number[]
  readonly #chordB: number[]
  readonly #chordFlow: number[]
  /** The tee above each live link; −1: none, it is a root or a chord. */
  readonly #above: number[]
  readonly #border: DenseFactors | null
  readonly #off: number[]
  readonly #zero: Sides

  constructor(tree: Tree, nodes: number) {
    const { live, tees, chords } = tree
    const ofLinks = () => zeros(live.length)
    const ofTees = () => zeros(tees.length)
    this.tree = tree
    this.slope = ofLinks()
    this.tees = { aa: ofTees(), ab: ofTees(), ba: ofTees(), bb: ofTees() }
    this.flow = ofLinks()
    this.head = ofTees()
    this.chordFrom = zeros(chords.length)
    this.chordTo = zeros(chords.length)
    this.#perFlow = ofTees()
    this.#share = ofTees()
    this.#both = ofTees()
    this.#alpha = ofTees()
    this.#kappa = ofTees()
    this.#startA = ofTees()
    this.#upper = ofLinks()
    this.#chordA = wholeZeros(tees.length).fill(-1)
    this.#chordB = wholeZeros(tees.length).fill(-1)
    this.#chordFlow = zeros(chords.length)
    this.#off = zeros(chords.length)
    this.#above = wholeZeros(live.length).fill(-1)
    for (let t = 0; t < tees.length; t++) {
      const { a, b, aKind, bKind } = tees[t]!
      if (aKind === BRANCHES) this.#above[a] = t
      if (bKind === BRANCHES) this.#above[b] = t
    }
    this.#border = chords.length > 0 ? new DenseFactors(chords.length) : null
    this.#zero = {
      link: chords.length > 0 ? ofLinks() : [],
      a: chords.length > 0 ? ofTees() : [],
      b: chords.length > 0 ? ofTees() : [],
      surplus: chords.length > 0 ? ofTees() : [],
      known: chords.length > 0 ? zeros(nodes) : [],
    }
    chords.forEach(({ from, to }, k) => {
      this.#hang(from, k)
      this.#hang(to, k)
    })
  }

  #hang({ tee, onA }: ChordEnd, chord: number): void {
    ;(onA ? this.#chordA : this.#chordB)[tee] = chord
  }

  /** Takes the slopes as they stand. */
  factor(): void {
    const { tree, slope, tees } = this
    const { aa, ab, ba, bb } = tees
    const perFlow = this.#perFlow
    for (let t = 0; t < tree.tees.length; t++) {
      const { a, b, aKind, bKind } = tree.tees[t]!
      const belowA = aKind === BRANCHES ? this.#beta(a, slope) - aa[t]! : 0
      const belowB = bKind === BRANCHES ? this.#beta(b, slope) - bb[t]! : 0
      if (aKind === BRANCHES && bKind === BRANCHES) {
        const sumA = belowA + ba[t]!
        const sumB = belowB + ab[t]!
        const sum = sumA + sumB
        // Where a leg hardly runs a tee may give more than is asked: then it is negative.
        const both = Math.abs(sum) > LEAST_RESISTANCE ? sum : LEAST_RESISTANCE
        const share = sumB / both
        this.#both[t] = both
        this.#share[t] = share
        perFlow[t] = belowA * share - ab[t]! * (1 - share)
      } else if (aKind === BRANCHES) {
        this.#share[t] = 1
        perFlow[t] = belowA
      } else {
        this.#share[t] = 0
        perFlow[t] = belowB
      }
    }
    if (this.#border) this.#factorBorder(this.#border)
  }

  /** dH/dq at the upper end of a link. */
  #beta(link: number, slope: number[]): number {
    const below = this.tree.below[link]!
    return below < 0 ? slope[link]! : slope[link]! + this.#perFlow[below]!
  }

  #factorBorder(border: DenseFactors): void {
    const { chords } = this.tree
    this.#chordFlow.fill(0)
    for (let k = 0; k < chords.length; k++) {
      this.#chordFlow[k] = 1
      this.#substitute(this.#zero)
      this.#residuals(this.#zero)
      for (let j = 0; j < chords.length; j++) border.a[j * chords.length + k] = this.#off[j]!
      this.#chordFlow[k] = 0
    }
    border.factor(chords.length)
  }

  /** Flows and heads that answer the sides. */
  solve(sides: Sides): void {
    this.#chordFlow.fill(0)
    this.#substitute(sides)
    if (!this.#border) return
    this.#residuals(sides)
    for (let k = 0; k < this.#off.length; k++) this.#off[k] = -this.#off[k]!
    this.#border.solve(this.#off, this.#chordFlow)
    this.#substitute(sides)
    const { chords } = this.tree
    for (let k = 0; k < chords.length; k++) this.flow[chords[k]!.link] = this.#chordFlow[k]!
  }

  /** Flows that answer a metre more lost in one link, down it, and nothing else; heads are not found. */
  solveLoss(link: number): void {
    if (this.#border) {
      this.#zero.link[link] = 1
      this.solve(this.#zero)
      this.#zero.link[link] = 0
      return
    }
    const { tree, flow } = this
    for (let r = 0; r < tree.roots.length; r++) flow[tree.roots[r]!.link] = 0
    this.#upFrom(link)
    for (let t = tree.tees.length - 1; t >= 0; t--) {
      const { up, a, b } = tree.tees[t]!
      const down = flow[up]!
      const downA = this.#startA[t]! + this.#share[t]! * down
      if (a >= 0) flow[a] = downA
      if (b >= 0) flow[b] = down - downA
    }
  }

  /** Carries that metre up the one way to the root, whose flow it gives. */
  #upFrom(link: number): void {
    const { tree, slope, flow } = this
    const { aa, ab } = this.tees
    this.#startA.fill(0)
    let alpha = 1
    let at = link
    for (let t = this.#above[at]!; t >= 0; t = this.#above[at]!) {
      const { up, a, aKind, bKind } = tree.tees[t]!
      if (aKind === BRANCHES && bKind === BRANCHES) {
        const downA = (at === a ? -alpha : alpha) / this.#both[t]!
        this.#startA[t] = downA
        alpha = (at === a ? alpha : 0) + (this.#beta(a, slope) - aa[t]! + ab[t]!) * downA
      }
      at = up
    }
    const perFlow = this.#beta(at, slope)
    flow[at] = -alpha / (Math.abs(perFlow) > LEAST_RESISTANCE ? perFlow : LEAST_RESISTANCE)
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
    const { tree, flow, slope, head } = this
    const { link, known } = sides
    for (let r = 0; r < tree.roots.length; r++) {
      const { link: l, node } = tree.roots[r]!
      const below = tree.below[l]!
      this.#upper[l] = known[node]!
      if (below < 0) flow[l] = (known[node]! - known[tree.farNode[l]!]! - link[l]!) / slope[l]!
      else if (tree.tees[below]!.driven) flow[l] = this.#kappa[below]!
      else {
        const perFlow = this.#perFlow[below]! + slope[l]!
        const rate = Math.abs(perFlow) > LEAST_RESISTANCE ? perFlow : LEAST_RESISTANCE
        flow[l] = (known[node]! - this.#alpha[below]! - link[l]!) / rate
      }
    }
    const { aa, ab, ba, bb } = this.tees
    for (let t = tree.tees.length - 1; t >= 0; t--) {
      const { up, a, b, aSign, bSign } = tree.tees[t]!
      const down = flow[up]!
      const downA = this.#startA[t]! + this.#share[t]! * down
      const downB = sides.surplus[t]! + down - downA
      const headM = this.#upper[up]! - link[up]! - slope[up]! * down
      head[t] = headM
      if (a >= 0) {
        const legM = headM + sides.a[t]! + aa[t]! * downA + ab[t]! * downB
        if (this.#chordA[t]! < 0) this.#branch(a, downA, legM)
        else this.#chordEnd(this.#chordA[t]!, aSign, legM)
      }
      if (b >= 0) {
        const legM = headM + sides.b[t]! + ba[t]! * downA + bb[t]! * downB
        if (this.#chordB[t]! < 0) this.#branch(b, downB, legM)
        else this.#chordEnd(this.#chordB[t]!, bSign, legM)
      }
    }
  }

  /** Says what goes down a branch and the head it begins at. */
  #branch(link: number, down: number, headM: number): void {
    this.flow[link] = down
    this.#upper[link] = headM
  }

  /** Says the head at one end of a chord. */
  #chordEnd(chord: number, sign: number, headM: number): void {
    if (sign > 0) this.chordFrom[chord] = headM
    else this.chordTo[chord] = headM
  }

  /** From the leaves to the roots: H of each tee's upper leg for no change of flow, and how that parts. */
  #up({ link, a: sideA, b: sideB, surplus, known }: Sides): void {
    const { tree, slope } = this
    const { aa, ab, ba, bb } = this.tees
    const alpha = this.#alpha
    const startA = this.#startA
    for (let t = 0; t < tree.tees.length; t++) {
      const { a, b, aKind, bKind, aSign, bSign } = tree.tees[t]!
      const more = surplus[t]!
      if (aKind === BRANCHES && bKind === BRANCHES) {
        const overA = this.#alphaOf(a, link, known) - sideA[t]!
        const overB = this.#alphaOf(b, link, known) - sideB[t]!
        const sumB = this.#share[t]! * this.#both[t]!
        const downA = (sumB * more - overA + overB) / this.#both[t]!
        startA[t] = downA
        alpha[t] = overA + (this.#beta(a, slope) - aa[t]!) * downA - ab[t]! * (more - downA)
        continue
      }
      const drivenA = aKind === DRIVEN ? this.#kappaOf(a, this.#chordA[t]!, aSign) : 0
      const drivenB = bKind === DRIVEN ? this.#kappaOf(b, this.#chordB[t]!, bSign) : 0
      if (aKind === BRANCHES) {
        const downA = more - drivenB
        startA[t] = downA
        alpha[t] =
          this.#alphaOf(a, link, known) -
          sideA[t]! +
          (this.#beta(a, slope) - aa[t]!) * downA -
          ab[t]! * drivenB
      } else if (bKind === BRANCHES) {
        startA[t] = drivenA
        alpha[t] =
          this.#alphaOf(b, link, known) -
          sideB[t]! +
          (this.#beta(b, slope) - bb[t]!) * (more - drivenA) -
          ba[t]! * drivenA
      } else {
        startA[t] = drivenA
        this.#kappa[t] = drivenA + drivenB - more
      }
    }
  }

  /** Head at the upper end of a link for no change of its flow. */
  #alphaOf(link: number, lost: number[], known: number[]): number {
    const below = this.tree.below[link]!
    return lost[link]! + (below < 0 ? known[this.tree.farNode[link]!]! : this.#alpha[below]!)
  }

  /** What goes down a leg whose flow is decided elsewhere. */
  #kappaOf(link: number, chord: number, sign: number): number {
    return chord < 0 ? this.#kappa[this.tree.below[link]!]! : sign * this.#chordFlow[chord]!
  }
}
