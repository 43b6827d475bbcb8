import { writeOver, zeros } from '../numeric/index.ts'
import type { Stepper } from './step.ts'

/** Where a level turned round. */
export interface Turn {
  readonly timeS: number
  readonly levelM: number
}

/** Over longer steps levels creep: what their slopes say there is no turn but the reckoning's own grain, s. */
const LONGEST_S = 0.5

/** Finds the turns of levels between steps: by the cubic through both ends and their slopes. */
export class Turns {
  readonly #turned: (vessel: number, turn: Turn) => void
  readonly #levels: number[]
  readonly #rates: number[]
  #timeS = NaN

  constructor(size: number, turned: (vessel: number, turn: Turn) => void) {
    this.#turned = turned
    this.#levels = zeros(size)
    this.#rates = zeros(size)
  }

  /** Where a step begins, and so the last one ended. */
  look({ rates, vessels }: Stepper, timeS: number, levels: number[]): void {
    const lastsS = timeS - this.#timeS
    if (lastsS > 0 && lastsS < LONGEST_S) {
      for (let v = 0; v < levels.length; v++) {
        const { areaM2 } = vessels[v]!
        const ends = {
          fromM: this.#levels[v]!,
          toM: levels[v]!,
          before: (this.#rates[v]! / areaM2) * lastsS,
          after: (rates[v]! / areaM2) * lastsS,
        }
        if (ends.before * ends.after >= 0) continue
        const { share, levelM } = turnOf(ends)
        this.#turned(v, { timeS: this.#timeS + share * lastsS, levelM })
      }
    }
    this.#timeS = timeS
    writeOver(this.#levels, levels)
    writeOver(this.#rates, rates)
  }
}

/** A level at both ends of a step, and how much it moves in a whole step as it does there. */
interface Ends {
  readonly fromM: number
  readonly toM: number
  readonly before: number
  readonly after: number
}

/** Where the cubic through both ends turns: the one root of its slope between them. */
function turnOf({ fromM, toM, before, after }: Ends): { share: number; levelM: number } {
  const rise = toM - fromM
  // Slope at x: a x² + b x + before, after at x = 1.
  const a = 3 * (before + after - 2 * rise)
  const b = 6 * rise - 4 * before - 2 * after
  const root = Math.sqrt(Math.max(0, b * b - 4 * a * before))
  const q = -(b + (b < 0 ? -root : root)) / 2
  const isInside = (x: number) => x >= 0 && x <= 1
  const share = isInside(q / a) ? q / a : isInside(before / q) ? before / q : 0.5
  const levelM = fromM + share * (before + share * (b / 2 + (share * a) / 3))
  return { share, levelM }
}
