import { applyEdits, type BasinDesign, type Edit } from '../design/index.ts'
import { withFollowing } from '../editing/index.ts'
import { figuresOf, type FlowPlace, flowThere } from '../figures/index.ts'
import { DRILLED_CODES, type Finding, findingsOf, type Whole, wholeOf } from '../finding/index.ts'
import { judged } from '../judge/index.ts'
import { type SteadyState, steadyState } from '../loop/index.ts'
import { findingDifferences } from './differences.ts'

/** What the drills say of a design's findings. */
export interface DrilledFindings {
  /** With their drills' word in place of the steady one, the worst first. */
  readonly findings: readonly Finding[]
  /** Ids of the drills that wet the floor. */
  readonly wet: ReadonlySet<string>
}

/** Asks the drills of a design; the one place that knows their word stands above this room (`basin`). */
export type AskDrills = (whole: Whole, findings: readonly Finding[]) => DrilledFindings

/** A design with a change made, brought to its steady state. */
export class Trial {
  /** With its water as it was given. */
  readonly given: BasinDesign
  readonly steady: SteadyState
  /** All that was changed, with what follows of itself. */
  readonly edits: readonly Edit[]
  readonly #ask: AskDrills
  #whole: Whole | null = null
  #findings: readonly Finding[] | null = null
  #drilled: DrilledFindings | null = null

  constructor(
    given: BasinDesign,
    edits: readonly Edit[],
    ask: AskDrills,
    private readonly isBuilt: boolean,
  ) {
    this.given = given
    this.edits = edits
    this.steady = steadyState(given)
    this.#ask = ask
  }

  /** Its figures, judged; worked out when they are asked for. */
  get whole(): Whole {
    this.#whole ??= wholeOf(this.steady, judged(this.steady, figuresOf(this.steady)), this.isBuilt)
    return this.#whole
  }

  /** What the steady state finds. */
  get findings(): readonly Finding[] {
    this.#findings ??= findingsOf(this.whole)
    return this.#findings
  }

  /** What is found once its drills are run: many times the work. */
  get drilled(): DrilledFindings {
    this.#drilled ??= this.#ask(this.whole, this.findings)
    return this.#drilled
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
  readonly before: Trial
  readonly #ask: AskDrills
  readonly #tried = new Map<readonly Edit[], Trial>()

  /** @param isBuilt asked as it is built, too: for what is found of its joints and cuts */
  constructor(
    given: BasinDesign,
    ask: AskDrills,
    private readonly isBuilt = false,
  ) {
    this.#ask = ask
    this.before = new Trial(given, [], ask, isBuilt)
  }

  of(edits: readonly Edit[]): Trial {
    const known = this.#tried.get(edits)
    if (known) return known
    const { given } = this.before
    const all = withFollowing(given, edits)
    const trial = new Trial(applyEdits(given, all), all, this.#ask, this.isBuilt)
    this.#tried.set(edits, trial)
    return trial
  }

  /** Changes of what one of them came to. */
  after({ given }: Trial): Trials {
    return new Trials(given, this.#ask, this.isBuilt)
  }
}

/** Does a change bring a stop that was none, or wet a floor that was dry? Runs the drills of both. */
export function bringsTrouble(before: Trial, after: Trial): boolean {
  // No drill takes back what only the steady state can say.
  const sure = after.findings.filter(({ code }) => !DRILLED_CODES.has(code))
  if (findingDifferences(before.findings, sure).newStop) return true
  const [was, is] = [before.drilled, after.drilled]
  return (
    findingDifferences(was.findings, is.findings).newStop ||
    [...is.wet].some((id) => !was.wet.has(id))
  )
}
