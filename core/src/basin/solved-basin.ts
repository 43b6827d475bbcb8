import type { Finding } from '../finding/index.ts'
import type { Judged } from '../judge/index.ts'

/** Every figure of a solved basin, SI, and what is found of it. */
export interface SolvedBasin extends Judged {
  readonly findings: readonly Finding[]
}
