import { lastWord } from '../basin/index.ts'
import type { BasinDesign, Edit } from '../design/index.ts'
import { bringsTrouble, Trials } from '../fix/index.ts'

/** Is an option as sound as the design is now: no stop that was none, no drill wet that was dry? Runs its drills. */
export function soundness(design: BasinDesign): (edits: readonly Edit[]) => boolean {
  const trials = new Trials(design, lastWord.askDrills)
  return (edits) => !bringsTrouble(trials.before, trials.of(edits))
}
