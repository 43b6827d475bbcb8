import { applyEdits, type BasinDesign, type Edit } from '../design/index.ts'
import { figuresOf, type FlowPlace, flowThere } from '../figures/index.ts'
import { type Whole, wholeOf } from '../finding/index.ts'
import { judged } from '../judge/index.ts'
import { type SteadyState, steadyState } from '../loop/index.ts'

/** A design with a change made, brought to its steady state. */
export class Trial {
  /** With its water as it was given. */
  readonly given: BasinDesign
  readonly steady: SteadyState
  #whole: Whole | null = null

  constructor(given: BasinDesign) {
    this.given = given
    this.steady = steadyState(given)
  }

  /** Its figures, judged; worked out when they are asked for. */
  get whole(): Whole {
    this.#whole ??= wholeOf(this.steady, judged(this.steady, figuresOf(this.steady)))
    return this.#whole
  }

  /** What flows at a place. */
  flow(place: FlowPlace): number {
    const { layout, solution } = this.steady
    return flowThere(layout, solution.flows, place)
  }

  /** How far that may be off. */
  flowBand(place: FlowPlace): number {
    const { tanks, returnSide } = this.whole
    const there =
      'tankId' in place
        ? tanks.find(({ tankId }) => tankId === place.tankId)
        : returnSide.lines.find(({ lineId }) => lineId === place.lineId)
    return there?.flowBandM3PerS ?? 0
  }
}

/** Changes of one design, each tried once however often it is asked for. */
export class Trials {
  readonly #given: BasinDesign
  readonly #tried = new Map<readonly Edit[], Trial>()

  constructor(given: BasinDesign) {
    this.#given = given
  }

  of(edits: readonly Edit[]): Trial {
    const known = this.#tried.get(edits)
    if (known) return known
    const trial = new Trial(applyEdits(this.#given, edits))
    this.#tried.set(edits, trial)
    return trial
  }
}
