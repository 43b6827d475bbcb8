import { domainMark } from './domain-mark.ts'
import type { FieldPlan } from './field-plan.ts'
import { gridsApart } from './grids-apart.ts'
import type { PackedField } from './pack-field.ts'
import { simulateFields } from './simulate-field.ts'

/** Runs a plan: its field, what it was run for, and how far it is from the same on the coarser grid that it began with. Long: for a worker. */
export function simulatePlan(
  plan: FieldPlan,
  progress?: (done: number, of: number) => void,
): PackedField {
  const watched = simulateFields(plan, progress)
  const [finest, coarser] = [watched.at(-1)!, watched.at(-2)]
  return {
    field: finest.field,
    of: domainMark(plan.domain, plan.fineness),
    apart: coarser ? gridsApart(finest, coarser, plan.domain) : null,
  }
}
