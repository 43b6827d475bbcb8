import { Scratch, zeros } from '../numeric/index.ts'
import { NOTHING, type Tree } from './tree.ts'
import { AA, AB, atLeast, BA, BB, type Slopes, TEE_SLOPES } from './slopes.ts'

/** What is passed on at each tee, and what each link's flow makes of what stands about it. */
interface Passes {
  /** From `PASSES` times a tee's place on. */
  readonly tees: number[]
  readonly flow: number[]
}

const PASSES = 6
/** To the link above, of what stands at leg a and at leg b. */
const UP_FROM_A = 0
const UP_FROM_B = 1
/** To each leg, of what stands above and at the other leg. */
const A_FROM_ABOVE = 2
const A_FROM_B = 3
const B_FROM_ABOVE = 4
const B_FROM_A = 5

/** What stands below and above the upper end of each link. */
const BELOW = new Scratch()
const ABOVE = new Scratch()

/**
 * How what is lost in all links together moves each flow, for all flows at once: one sweep from the
 * leaves and one back, in place of an answer a link. Below a link's upper end stands α + β dq, above it
 * σ − Z dq, so dq = (σ − α)/(β + Z); each α and σ hangs on those next to it. Squares go the same way
 * with squared shares, for then each loss has one way to each link. For a network without loops.
 */
export class Sweep {
  readonly #tree: Tree
  readonly #passes: Passes
  readonly #squared: Passes

  private constructor(tree: Tree, passes: Passes) {
    this.#tree = tree
    this.#passes = passes
    this.#squared = { tees: squares(passes.tees), flow: squares(passes.flow) }
  }

  /** null: the network has loops. */
  static of(tree: Tree, slopes: Slopes): Sweep | null {
    return tree.chords.length > 0 ? null : new Sweep(tree, passesOf(tree, slopes))
  }

  /** Σ over links l of T(e, l) × what is lost in l, m³/s: T is dq down e for a metre more lost down l. */
  sums(lostM: readonly number[], into: number[]): void {
    this.#go(this.#passes, lostM, into)
  }

  /** Σ over links l of T(e, l)² × a square of what is lost in l. */
  squares(lostM2: readonly number[], into: number[]): void {
    this.#go(this.#squared, lostM2, into)
  }

  #go({ tees: passes, flow }: Passes, lost: readonly number[], into: number[]): void {
    const { tees, roots, live } = this.#tree
    const count = live.length
    const below = BELOW.atLeast(count)
    const above = ABOVE.atLeast(count)
    for (let l = 0; l < count; l++) below[l] = lost[l]!
    for (let t = 0; t < tees.length; t++) {
      const { up, a, b } = tees[t]!
      const at = PASSES * t
      const fromB = b < 0 ? 0 : passes[at + UP_FROM_B]! * below[b]!
      below[up] = below[up]! + passes[at + UP_FROM_A]! * below[a]! + fromB
    }
    for (let r = 0; r < roots.length; r++) above[roots[r]!.link] = 0
    for (let t = tees.length - 1; t >= 0; t--) {
      const { up, a, b } = tees[t]!
      const at = PASSES * t
      const here = above[up]! + lost[up]!
      above[a] = passes[at + A_FROM_ABOVE]! * here
      if (b < 0) continue
      above[a] = above[a] + passes[at + A_FROM_B]! * below[b]!
      above[b] = passes[at + B_FROM_ABOVE]! * here + passes[at + B_FROM_A]! * below[a]!
    }
    for (let l = 0; l < count; l++) into[l] = flow[l]! * (below[l]! + above[l]!)
  }
}

function squares(list: readonly number[]): number[] {
  const squared = zeros(list.length)
  for (let i = 0; i < list.length; i++) squared[i] = list[i]! * list[i]!
  return squared
}

function passesOf(tree: Tree, slopes: Slopes): Passes {
  const { tees, live, roots } = tree
  const passes = zeros(PASSES * tees.length)
  const flow = zeros(live.length)
  // β of each link, and Z above it.
  const beta = BELOW.atLeast(live.length)
  const above = ABOVE.atLeast(live.length)
  for (let l = 0; l < live.length; l++) beta[l] = slopes.link[l]!
  for (let t = 0; t < tees.length; t++) passUp(tree, slopes, t, { passes, beta })
  for (let r = 0; r < roots.length; r++) above[roots[r]!.link] = 0
  for (let t = tees.length - 1; t >= 0; t--) passDown(tree, slopes, t, { passes, beta, above })
  for (let l = 0; l < flow.length; l++) flow[l] = -1 / atLeast(beta[l]! + above[l]!)
  return { tees: passes, flow }
}

function passUp(
  { tees }: Tree,
  { tees: slopes }: Slopes,
  t: number,
  { passes, beta }: { readonly passes: number[]; readonly beta: number[] },
): void {
  const { up, a, b, bKind } = tees[t]!
  const at = PASSES * t
  const slope = TEE_SLOPES * t
  const belowA = beta[a]! - slopes[slope + AA]!
  if (bKind === NOTHING) {
    passes[at + UP_FROM_A] = 1
    beta[up] = beta[up]! + belowA
    return
  }
  const fromB = belowA + slopes[slope + AB]!
  const fromA = beta[b]! - slopes[slope + BB]! + slopes[slope + BA]!
  const parts = 1 / atLeast(fromB + fromA)
  passes[at + UP_FROM_A] = 1 - fromB * parts
  passes[at + UP_FROM_B] = fromB * parts
  beta[up] = beta[up]! + belowA - fromB * (belowA + slopes[slope + BA]!) * parts
}

function passDown(
  { tees }: Tree,
  { link, tees: slopes }: Slopes,
  t: number,
  {
    passes,
    beta,
    above,
  }: { readonly passes: number[]; readonly beta: number[]; readonly above: number[] },
): void {
  const { up, a, b, bKind } = tees[t]!
  const at = PASSES * t
  const slope = TEE_SLOPES * t
  const here = above[up]! + link[up]!
  if (bKind === NOTHING) {
    passes[at + A_FROM_ABOVE] = 1
    above[a] = here - slopes[slope + AA]!
    return
  }
  const toA = slopes[slope + AB]! - here
  const toB = slopes[slope + BA]! - here
  const pastB = toA / atLeast(beta[b]! - slopes[slope + BB]! + here)
  const pastA = toB / atLeast(beta[a]! - slopes[slope + AA]! + here)
  passes[at + A_FROM_ABOVE] = 1 + pastB
  passes[at + A_FROM_B] = pastB
  passes[at + B_FROM_ABOVE] = 1 + pastA
  passes[at + B_FROM_A] = pastA
  above[a] = here - slopes[slope + AA]! - pastB * toB
  above[b] = here - slopes[slope + BB]! - pastA * toA
}
