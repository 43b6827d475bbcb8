import type { FallSearch } from '../drain/index.ts'
import { teeAt, type TeeAt, type TeeLeg, teeRoom } from '../fitting/index.ts'
import type { LaidDrain } from './lay-drains.ts'

/** Two drains as they come to the tee in which they join; the trunk first. */
interface Meeting {
  /** Head where their common way ends. */
  readonly outletM: number
  /** Head at each one's leg. */
  readonly legM: readonly [number, number]
  readonly flow: readonly [number, number]
  /** What less head at the leg would add to each, m²/s. */
  readonly perFall: readonly [number, number]
}

/** Somebody's search for the heads at which two drains join; never shared. */
export class JointSearch {
  /** What leads from the heads last met at to those that balance. */
  readonly step: [number, number] = [0, 0]
  /** How far the further of the two legs is from the head that their flows bring about. */
  offM = 0
  readonly #tee: TeeAt = teeRoom()
  readonly #into: [number, number, number] = [0, 0, 0]
  #off: [number, number] = [0, 0]
  /** d(head brought about at each leg)/d(flow of each), s/m²: own and other of the trunk, then of what joins it. */
  #slopes: [number, number, number, number] = [0, 0, 0, 0]
  #perFall: readonly [number, number] = [0, 0]

  /** What the flows bring about: outlet + loss on the common way + what the tee takes of each. */
  meet({ joint, before }: LaidDrain, after: FallSearch, meeting: Meeting): void {
    const { outletM, legM, flow, perFall } = meeting
    const { law, own, other, out } = joint!
    const both = flow[0] + flow[1]
    const way = after.lossAt(both)
    this.#into[own] = flow[0]
    this.#into[other] = flow[1]
    this.#into[out] = -both
    teeAt(law, this.#into, before.water.kinematicM2PerS, this.#tee)
    const { headM } = this.#tee
    const off = (leg: TeeLeg, i: 0 | 1) =>
      legM[i] - outletM - way.headM - (headM[leg]! - headM[out]!)
    this.#off = [off(own, 0), off(other, 1)]
    const slope = (leg: TeeLeg, moved: TeeLeg) => way.slope + this.#teeSlope(leg, moved, out)
    this.#slopes = [slope(own, own), slope(own, other), slope(other, own), slope(other, other)]
    this.#perFall = perFall
    this.offM = Math.max(Math.abs(this.#off[0]), Math.abs(this.#off[1]))
  }

  /** d(head of a leg over the way out)/d(flow that comes in by a leg and goes out). */
  #teeSlope(leg: TeeLeg, moved: TeeLeg, out: TeeLeg): number {
    const { common, shareLeg, perCommon, perShare } = this.#tee
    const moves = (at: TeeLeg) => (at === moved ? 1 : at === out ? -1 : 0)
    return (
      moves(common) * (perCommon[leg]! - perCommon[out]!) +
      moves(shareLeg) * (perShare[leg]! - perShare[out]!)
    )
  }

  get stepM(): number {
    return Math.max(Math.abs(this.step[0]), Math.abs(this.step[1]))
  }

  /** Newton's step from where they met. */
  solve(): void {
    this.#solveInto(this.#off, this.step)
  }

  /** What more level adds to both flows together, of what it adds to each with its leg's head held. */
  perLevel(trunk: number, other: number): number {
    const [a, b, c, d] = this.#slopes
    const rise: [number, number] = [0, 0]
    this.#solveInto([a * trunk + b * other, c * trunk + d * other], rise)
    const kept = trunk + other - this.#perFall[0] * rise[0] - this.#perFall[1] * rise[1]
    return Math.max(0, kept)
  }

  /** x of (I + slopes · perFall) x = b. */
  #solveInto([b0, b1]: readonly [number, number], x: [number, number]): void {
    const [a, b, c, d] = this.#slopes
    const [p0, p1] = this.#perFall
    const [m00, m01, m10, m11] = [1 + a * p0, b * p1, c * p0, 1 + d * p1]
    const det = m00 * m11 - m01 * m10
    x[0] = (b0 * m11 - b1 * m01) / det
    x[1] = (b1 * m00 - b0 * m10) / det
  }
}
