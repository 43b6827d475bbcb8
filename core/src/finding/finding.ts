import type { BasinDesign, Edit } from '../design/index.ts'
import type {
  SolvedDrain,
  SolvedLine,
  SolvedReturn,
  SolvedTank,
  SolvedTreatment,
  SolvedWater,
} from '../figures/index.ts'
import type { SolvedOverflow, SolvedSump } from '../judge/index.ts'
import type { LaidLine, LaidPump, Layout } from '../layout/index.ts'
import type { SteadyState } from '../loop/index.ts'
import type { Sentence } from '../quantity/index.ts'

/** stop: it will not do. watch: it will do, with an eye on it. fine: said because it was asked. */
export type Severity = 'stop' | 'watch' | 'fine'

/** The stop on the water's path that a finding belongs to. */
export type PathStop = 'tank' | 'overflow' | 'drains' | 'sump' | 'return' | 'skimmer' | 'sterilizer'

/** A change that would mend it, and what it would bring. */
export interface Fix {
  readonly label: Sentence
  readonly brings: Sentence
  readonly edits: readonly Edit[]
}

export type FindingCode =
  | 'water-over-rim'
  | 'rim-over-panels'
  | 'little-freeboard'
  | 'no-net-water'
  | 'tank-unfed'
  | 'no-flow-at-this-speed'
  | 'valve-shut'
  | 'flows-back'
  | 'unsettled'
  | 'flow-short'
  | 'flow-past'
  | 'flow-as-wanted'
  | 'takeoff-off-target'
  | 'water-too-fast'
  | 'outlet-mismatch'
  | 'sizes-do-not-meet'
  | 'past-known-curve'
  | 'no-fouling-reserve'
  | 'valve-does-pumps-work'
  | 'no-union-at-pump'
  | 'pump-draws-air'
  | 'turn-without-elbow'
  | 'hard-elbows-in-a-row'
  | 'hose-too-short'
  | 'pieces-after-nozzle'
  | 'spare-without-valve'
  | 'check-valve-only-guard'
  | 'misses-its-place'
  | 'mouth-outside-tank'
  | 'mouth-under-water'
  | 'weir-too-short'
  | 'teeth-drowned'
  | 'lets-animals-through'
  | 'tempered-panel'
  | 'hole-too-near'
  | 'hung-loses-prime'
  | 'box-without-drain'
  | 'siphon-untuned'
  | 'siphon-cannot-match'
  | 'siphon-near-air'
  | 'emergency-wet'
  | 'emergency-cannot-carry'
  | 'joined-drains'
  | 'vented-loud'
  | 'drain-too-level'
  | 'blocked-pipe-held'
  | 'sump-too-small'
  | 'above-fill-line'
  | 'outage-held'
  | 'skimmer-depth'
  | 'bubbles-reach-pump'
  | 'runs-dry-soon'
  | 'wall-below-next'
  | 'chamber-too-short'
  | 'chamber-starved'
  | 'chamber-runs-over'
  | 'light-leaks'
  | 'skimmer-fits'
  | 'skimmer-without-water'
  | 'skimmer-too-small'
  | 'skimmer-too-large'
  | 'cup-stays-on'
  | 'skimmer-recirculates'
  | 'top-off-gives-up'
  | 'outside-window'
  | 'device-does-not-fit'
  | 'devices-collide'
  | 'no-hand-room'
  | 'cannot-lift-out'
  | 'lamp-without-flow'
  | 'dose-reached'
  | 'dose-short'
  | 'lamp-old'
  | 'lamp-glued-in'
  | 'lamp-cannot-be-drawn'
  | 'ports-do-not-meet'
  | 'meter-not-upright'
  | 'meter-off-scale'

export interface Finding {
  readonly code: FindingCode
  readonly severity: Severity
  readonly stop: PathStop
  /** What is so. */
  readonly title: Sentence
  /** Why it is so, and what to do where no fix can do it alone. */
  readonly reason: Sentence
  /** The tank it is about. */
  readonly tankId: string | null
  /** The line it is about. */
  readonly lineId: string | null
  /** The piece of that line it is about. */
  readonly pieceId: string | null
  /** The drain it is about. */
  readonly drainId: string | null
  /** The chamber it is about. */
  readonly chamberId: string | null
  /** The device it is about. */
  readonly deviceId: string | null
  readonly fixes: readonly Fix[]
}

/** What the findings are made from. */
export interface Solving {
  readonly design: BasinDesign
  readonly layout: Layout
  readonly tanks: readonly SolvedTank[]
  readonly water: SolvedWater
  readonly steady: SteadyState
  readonly overflows: readonly SolvedOverflow[]
  readonly drains: readonly SolvedDrain[]
  readonly sump: SolvedSump
  readonly returnSide: SolvedReturn
  readonly treatment: SolvedTreatment
}

/** One line of what is judged, with everything known of it. */
export interface LineCase {
  readonly solving: Solving
  readonly design: BasinDesign
  readonly laid: LaidLine
  readonly solved: SolvedLine
  /** The pump its water comes from. */
  readonly pump: LaidPump
}

type Where = 'tankId' | 'lineId' | 'pieceId' | 'drainId' | 'chamberId' | 'deviceId'
type Needless = 'stop' | 'fixes' | Where

/** A finding as it is written: its fixes are tried out when someone looks at them. */
export type Found = Omit<Finding, Needless | 'reason'> &
  Partial<Pick<Finding, Where>> & {
    /** What it says may hang on whether there is a fix. */
    readonly reason: Sentence | ((fixes: readonly Fix[]) => Sentence)
    readonly fixes?: () => readonly Fix[]
  }

/** A finding whose fixes are tried out when someone looks at them, once. */
class FoundAt implements Finding {
  readonly code: FindingCode
  readonly severity: Severity
  readonly title: Sentence
  readonly tankId: string | null
  readonly lineId: string | null
  readonly pieceId: string | null
  readonly drainId: string | null
  readonly chamberId: string | null
  readonly deviceId: string | null
  readonly #reason: Found['reason']
  readonly #fixes: Found['fixes']
  #tried: readonly Fix[] | undefined

  constructor(
    readonly stop: PathStop,
    found: Found,
    where: Partial<Pick<Finding, Where>>,
  ) {
    this.code = found.code
    this.severity = found.severity
    this.title = found.title
    this.tankId = found.tankId ?? where.tankId ?? null
    this.lineId = found.lineId ?? where.lineId ?? null
    this.pieceId = found.pieceId ?? null
    this.drainId = found.drainId ?? where.drainId ?? null
    this.chamberId = found.chamberId ?? where.chamberId ?? null
    this.deviceId = where.deviceId ?? null
    this.#reason = found.reason
    this.#fixes = found.fixes
  }

  get reason(): Sentence {
    return typeof this.#reason === 'function' ? this.#reason(this.fixes) : this.#reason
  }

  get fixes(): readonly Fix[] {
    this.#tried ??= this.#fixes?.() ?? []
    return this.#tried
  }
}

/** A finding of a stop, about what `where` says; what is left out is nothing. */
export function aboutStop(
  stop: PathStop,
  found: Found,
  where: Partial<Pick<Finding, Where>> = {},
): Finding {
  return new FoundAt(stop, found, where)
}

/** A finding about a line; what is left out is nothing. */
export function aboutLine({ laid }: LineCase, found: Found): Finding {
  const { end, id } = laid.line
  const tankId = end.at === 'tank' ? end.id : null
  return aboutStop('return', found, { tankId, lineId: id })
}

/** Where a line's pieces stand in the design. */
export function piecesPath({ laid }: LineCase): (string | number)[] {
  return ['returnSide', 'lines', laid.index, 'run', 'pieces']
}

/** "the takeoff “Scrubber”" in front of what is said, where a design has more than one line. */
export function lineWords({ design, laid }: LineCase): string {
  return design.returnSide.lines.length > 1 ? `${laid.line.name}: ` : ''
}
