import { Scratch, zeros } from '../numeric/index.ts'
import { NOTHING, type Tree } from './tree.ts'
import { AA, AB, atLeast, BA, BB, type Slopes, TEE_SLOPES } from './tree-matrix.ts'

/** What is passed on at each tee, two up and four down, and what each link's flow makes of it. */
interface Passes {
  /** Of what stands at the legs a and b, to the link above. */
  readonly up: number[]
  /** Of what stands above and at the other leg, to leg a; then to leg b. */
  readonly down: number[]
  readonly flow: number[]
}

const UP = 2
const DOWN = 4

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
    this.#squared = {
      up: squares(passes.up),
      down: squares(passes.down),
      flow: squares(passes.flow),
    }
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

  #go({ up, down, flow }: Passes, lost: readonly number[], into: number[]): void {
    const { tees, roots, live } = this.#tree
    const count = live.length
    const below = BELOW.atLeast(count)
    const above = ABOVE.atLeast(count)
    for (let l = 0; l < count; l++) below[l] = lost[l]!
    for (let t = 0; t < tees.length; t++) {
      const { up: top, a, b } = tees[t]!
      const fromB = b < 0 ? 0 : up[UP * t + 1]! * below[b]!
      below[top] = below[top]! + up[UP * t]! * below[a]! + fromB
    }
    for (let r = 0; r < roots.length; r++) above[roots[r]!.link] = 0
    for (let t = tees.length - 1; t >= 0; t--) {
      const { up: top, a, b } = tees[t]!
      const at = DOWN * t
      const here = above[top]! + lost[top]!
      above[a] = down[at]! * here
      if (b < 0) continue
      above[a] = above[a] + down[at + 1]! * below[b]!
      above[b] = down[at + 2]! * here + down[at + 3]! * below[a]!
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
  const up = zeros(UP * tees.length)
  const down = zeros(DOWN * tees.length)
  const flow = zeros(live.length)
  // β of each link, and Z above it.
  const beta = BELOW.atLeast(live.length)
  const above = ABOVE.atLeast(live.length)
  for (let l = 0; l < live.length; l++) beta[l] = slopes.link[l]!
  for (let t = 0; t < tees.length; t++) passUp(tree, slopes, t, { up, beta })
  for (let r = 0; r < roots.length; r++) above[roots[r]!.link] = 0
  for (let t = tees.length - 1; t >= 0; t--) passDown(tree, slopes, t, { down, beta, above })
  for (let l = 0; l < flow.length; l++) flow[l] = -1 / atLeast(beta[l]! + above[l]!)
  return { up, down, flow }
}

function passUp(
  { tees }: Tree,
  { tees: slopes }: Slopes,
  t: number,
  { up, beta }: { readonly up: number[]; readonly beta: number[] },
): void {
  const { up: top, a, b, bKind } = tees[t]!
  const at = TEE_SLOPES * t
  const belowA = beta[a]! - slopes[at + AA]!
  if (bKind === NOTHING) {
    up[UP * t] = 1
    beta[top] = beta[top]! + belowA
    return
  }
  const fromB = belowA + slopes[at + AB]!
  const toB = beta[b]! - slopes[at + BB]! + slopes[at + BA]!
  const parts = 1 / atLeast(fromB + toB)
  up[UP * t] = 1 - fromB * parts
  up[UP * t + 1] = fromB * parts
  beta[top] = beta[top]! + belowA - fromB * (belowA + slopes[at + BA]!) * parts
}

function passDown(
  { tees }: Tree,
  { link, tees: slopes }: Slopes,
  t: number,
  {
    down,
    beta,
    above,
  }: { readonly down: number[]; readonly beta: number[]; readonly above: number[] },
): void {
  const { up: top, a, b, bKind } = tees[t]!
  const at = TEE_SLOPES * t
  const here = above[top]! + link[top]!
  if (bKind === NOTHING) {
    down[DOWN * t] = 1
    above[a] = here - slopes[at + AA]!
    return
  }
  const pastB = (slopes[at + AB]! - here) / atLeast(beta[b]! - slopes[at + BB]! + here)
  const pastA = (slopes[at + BA]! - here) / atLeast(beta[a]! - slopes[at + AA]! + here)
  down[DOWN * t] = 1 + pastB
  down[DOWN * t + 1] = pastB
  down[DOWN * t + 2] = 1 + pastA
  down[DOWN * t + 3] = pastA
  above[a] = here - slopes[at + AA]! - pastB * (slopes[at + BA]! - here)
  above[b] = here - slopes[at + BB]! - pastA * (slopes[at + AB]! - here)
}
