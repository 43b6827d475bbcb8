import { solveDuty } from '../../network/duty.ts'
import { sentence, type Sentence } from '../../quantity/sentence.ts'
import { applyEdits, type Edit } from '../edit.ts'
import { layOut } from '../layout.ts'
import type { BasinDesign } from '../design.ts'
import type { Fix } from './finding.ts'

/** The flow a design would have with these edits made; nil where it would have none. */
export function flowWith(design: BasinDesign, edits: readonly Edit[]): number {
  const outcome = solveDuty(layOut(applyEdits(design, edits)).problem)
  return outcome.ok ? outcome.value.flowM3PerS : 0
}

/** A fix whose worth is the flow it brings, as the core solves it. */
export function fixForFlow(design: BasinDesign, label: Sentence, edits: readonly Edit[]): Fix {
  return fixOfFlow(label, edits, flowWith(design, edits))
}

/** The same where the flow is known already. */
export function fixOfFlow(label: Sentence, edits: readonly Edit[], flowM3PerS: number): Fix {
  return { label, brings: sentence('Gives {flow}.', { flow: ['flow', flowM3PerS] }), edits }
}
