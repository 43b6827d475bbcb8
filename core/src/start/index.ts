import type { BasinDesign } from '../design/index.ts'
import type { PumpPart } from '../pump/index.ts'
import type { StartAnswers } from './answers.ts'
import { marked } from './given.ts'
import { layStart } from './lay-start.ts'

export type { InsideSizes, StartAnswers, StartKind, TankAnswer } from './answers.ts'
export { noAnswers } from './answers.ts'
export { USUAL_SUMP, USUAL_TREATMENT } from './usual-plans.ts'
export { withoutStops } from './no-stop.ts'
export { type OnTheBox, pumpFromBox } from './pump-from-box.ts'
export {
  COMMON_TANKS,
  insideOf,
  LIVES,
  sizesOfVolume,
  START_KINDS,
  turnoverOfRange,
} from './usual.ts'

/** A whole loop for what a keeper said; what he did not say is marked as assumed. */
export function startDesign(answers: StartAnswers, shelf: readonly PumpPart[]): BasinDesign {
  return marked(layStart(answers, shelf), answers)
}
