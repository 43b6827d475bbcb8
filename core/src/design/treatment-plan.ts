import type { Feed, LoadClass, SkimmerSchool } from '../skimmer/index.ts'
import type { DoseTarget } from '../uv/index.ts'

/** What the water has to be cleaned of, and how the keeper judges what cleans it. */
export interface TreatmentPlan {
  readonly feeds: readonly Feed[]
  /** What lives there, as the keeper sees it. */
  readonly stock: LoadClass
  /** Share of the load that refugium, scrubber and reactors take, 0–1. */
  readonly otherShare: number
  /** The school in force. */
  readonly school: SkimmerSchool
  /** Factors of the school that oversizes: rated from so many times the water to so many. */
  readonly oversizeFrom: number
  readonly oversizeTo: number
  readonly targets: readonly DoseTarget[]
  /** The target the sterilizer is for; null: none chosen. */
  readonly targetId: string | null
}
