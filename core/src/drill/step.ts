import { DenseFactors, wholeZeros, writeOver, zeros } from '../numeric/index.ts'
import { type Law, Rates } from './rates.ts'
import { levelsOf, type Vessel } from './vessel.ts'

/**
 * One step of dV/dt = f(V) by the linearly implicit Euler method on 1, 2 and 3 parts, extrapolated
 * to third order (Deuflhard 1985; Hairer & Wanner, Solving ODE II, IV.9). The matrix need not be
 * exact, so each law's own slopes do; what no flow can make or lose is kept to rounding, since
 * each column of the matrix adds up to nothing. Takes long steps where levels creep, short ones
 * where they rush. Most vessels are stores whose level moves nothing: the equations are solved
 * for the others, and what the stores get follows from those.
 */
export class Stepper {
  readonly vessels: readonly Vessel[]
  readonly laws: readonly Law[]
  readonly #rates: Rates
  readonly #levels: number[]
  readonly #atStart: number[]
  readonly #areas: number[]
  /** The vessels whose level moves some flow, and how many they are. */
  readonly #movers: number[]
  #count = 0
  /** How every vessel's rate hangs on the movers' volumes, 1/s: a row a vessel. */
  readonly #matrix: number[]
  readonly #factors: DenseFactors
  readonly #rhs: number[]
  readonly #move: number[]
  readonly #paths: readonly [number[], number[], number[]]
  /** How far the two best answers of the last step lie apart, as the level of the worst vessel, m. */
  offM = 0

  constructor(vessels: readonly Vessel[], laws: readonly Law[]) {
    const n = vessels.length
    this.vessels = vessels
    this.laws = laws
    this.#rates = new Rates(n)
    this.#levels = zeros(n)
    this.#atStart = zeros(n)
    this.#areas = Array.from(vessels, ({ areaM2 }) => areaM2)
    this.#movers = wholeZeros(n)
    this.#matrix = zeros(n * n)
    this.#factors = new DenseFactors(n)
    this.#rhs = zeros(n)
    this.#move = zeros(n)
    this.#paths = [zeros(n), zeros(n), zeros(n)]
  }

  /** Looks at where a step will start: rates there, and how they hang on the levels. */
  begin(volumes: number[]): void {
    this.#evaluate(volumes, true)
    const { rate, size } = this.#rates
    writeOver(this.#atStart, rate)
    this.#count = 0
    for (let j = 0; j < size; j++) {
      if (this.#rates.moves(j)) this.#movers[this.#count++] = j
    }
    const { perLevel } = this.#rates
    for (let i = 0; i < size; i++) {
      for (let m = 0; m < this.#count; m++) {
        const j = this.#movers[m]!
        this.#matrix[i * this.#count + m] = perLevel[i * size + j]! / this.#areas[j]!
      }
    }
  }

  /** Rates where the step starts, m³/s. */
  get rates(): number[] {
    return this.#atStart
  }

  /** A step of so long from where `begin` looked; writes where it leads. */
  step(from: number[], lengthS: number, into: number[]): void {
    const [one, two, three] = this.#paths
    this.#path(from, lengthS, 1, one)
    this.#path(from, lengthS, 2, two)
    this.#path(from, lengthS, 3, three)
    let offM = 0
    for (let i = 0; i < into.length; i++) {
      const second = 2 * two[i]! - one[i]!
      const better = three[i]! + 2 * (three[i]! - two[i]!)
      const best = better + (better - second) / 2
      into[i] = best
      offM = Math.max(offM, Math.abs(best - better) / this.#areas[i]!)
    }
    this.offM = offM
  }

  #path(from: number[], lengthS: number, parts: number, into: number[]): void {
    const partS = lengthS / parts
    this.#factor(partS)
    writeOver(into, from)
    for (let part = 0; part < parts; part++) {
      if (part > 0) this.#evaluate(into, false)
      this.#movePart(partS, part > 0 ? this.#rates.rate : this.#atStart, into)
    }
  }

  /** The movers' own equations, 1 − h J, in factors. */
  #factor(partS: number): void {
    const count = this.#count
    const { a: matrix } = this.#factors
    for (let a = 0; a < count; a++) {
      const row = this.#movers[a]! * count
      for (let b = 0; b < count; b++) {
        matrix[a * count + b] = (a === b ? 1 : 0) - partS * this.#matrix[row + b]!
      }
    }
    this.#factors.factor(count)
  }

  #movePart(partS: number, rate: number[], into: number[]): void {
    const count = this.#count
    for (let a = 0; a < count; a++) this.#rhs[a] = partS * rate[this.#movers[a]!]!
    this.#factors.solve(this.#rhs, this.#move)
    for (let i = 0, at = 0; i < into.length; i++, at += count) {
      let gets = rate[i]!
      for (let b = 0; b < count; b++) gets += this.#matrix[at + b]! * this.#move[b]!
      into[i] = into[i]! + partS * gets
    }
  }

  #evaluate(volumes: number[], wantsSlopes: boolean): void {
    levelsOf(this.vessels, volumes, this.#levels)
    this.#rates.clear(wantsSlopes)
    for (const law of this.laws) law.add(this.#levels, this.#rates, wantsSlopes)
  }
}
