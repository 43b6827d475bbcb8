import { factorDense, solveFactored } from '../numeric/dense.ts'
import { Rates, type Law } from './rates.ts'
import { levelsOf, type Vessel } from './vessel.ts'

/** Steps of the three paths that one step is extrapolated from. */
const PARTS = [1, 2, 3] as const

/**
 * One step of dV/dt = f(V) by the linearly implicit Euler method on 1, 2 and 3 parts, extrapolated
 * to third order (Deuflhard 1985; Hairer & Wanner, Solving ODE II, IV.9). The matrix need not be
 * exact, so each law's own slopes do; what no flow can make or lose is kept to rounding, since
 * each column of the matrix adds up to nothing. Takes long steps where levels creep, short ones
 * where they rush.
 */
export class Stepper {
  readonly vessels: readonly Vessel[]
  readonly laws: readonly Law[]
  readonly #rates: Rates
  readonly #levels: Float64Array
  readonly #atStart: Float64Array
  readonly #matrix: Float64Array
  readonly #factors: Float64Array
  readonly #rows: Int32Array
  readonly #rhs: Float64Array
  readonly #move: Float64Array
  readonly #paths: readonly Float64Array[]
  /** How far the two best answers of the last step lie apart, as the level of the worst vessel, m. */
  offM = 0

  constructor(vessels: readonly Vessel[], laws: readonly Law[]) {
    const n = vessels.length
    this.vessels = vessels
    this.laws = laws
    this.#rates = new Rates(n)
    this.#levels = new Float64Array(n)
    this.#atStart = new Float64Array(n)
    this.#matrix = new Float64Array(n * n)
    this.#factors = new Float64Array(n * n)
    this.#rows = new Int32Array(n)
    this.#rhs = new Float64Array(n)
    this.#move = new Float64Array(n)
    this.#paths = PARTS.map(() => new Float64Array(n))
  }

  /** Looks at where a step will start: rates there, and how they hang on the levels. */
  begin(volumes: Float64Array): void {
    this.#evaluate(volumes, true)
    const { rate, perLevel, size } = this.#rates
    this.#atStart.set(rate)
    for (let i = 0; i < size; i++) {
      for (let j = 0; j < size; j++) {
        this.#matrix[i * size + j] = perLevel[i * size + j]! / this.vessels[j]!.areaM2
      }
    }
  }

  /** Rates where the step starts, m³/s. */
  get rates(): Float64Array {
    return this.#atStart
  }

  /** A step of so long from where `begin` looked; writes where it leads. */
  step(from: Float64Array, lengthS: number, into: Float64Array): void {
    PARTS.forEach((parts, p) => this.#path(from, lengthS, parts, this.#paths[p]!))
    const [one, two, three] = this.#paths
    this.offM = 0
    for (let i = 0; i < into.length; i++) {
      const second = 2 * two![i]! - one![i]!
      const better = three![i]! + 2 * (three![i]! - two![i]!)
      const best = better + (better - second) / 2
      into[i] = best
      this.offM = Math.max(this.offM, Math.abs(best - better) / this.vessels[i]!.areaM2)
    }
  }

  #path(from: Float64Array, lengthS: number, parts: number, into: Float64Array): void {
    const { size } = this.#rates
    const partS = lengthS / parts
    for (let i = 0; i < size * size; i++) this.#factors[i] = -partS * this.#matrix[i]!
    for (let i = 0; i < size; i++) this.#factors[i * size + i] = 1 + this.#factors[i * size + i]!
    factorDense(size, this.#factors, this.#rows)
    into.set(from)
    for (let part = 0; part < parts; part++) {
      if (part > 0) this.#evaluate(into, false)
      const rate = part > 0 ? this.#rates.rate : this.#atStart
      for (let i = 0; i < size; i++) this.#rhs[i] = partS * rate[i]!
      solveFactored(size, this.#factors, this.#rows, this.#rhs, this.#move)
      for (let i = 0; i < size; i++) into[i] = into[i]! + this.#move[i]!
    }
  }

  #evaluate(volumes: Float64Array, wantsSlopes: boolean): void {
    levelsOf(this.vessels, volumes, this.#levels)
    this.#rates.clear()
    for (const law of this.laws) law.add(this.#levels, this.#rates, wantsSlopes)
  }
}
