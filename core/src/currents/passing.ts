import type { FieldPlan } from './field-plan.ts'
import { type CellShare, mouthCells, openingCells } from './sources.ts'

/** Cells through which water comes from the sump and leaves for it; the outlet's flow is negative. */
export interface PassingWater {
  readonly inlets: readonly { readonly cells: readonly CellShare[]; readonly flowM3PerS: number }[]
  readonly outlet: { readonly cells: readonly CellShare[]; readonly flowM3PerS: number } | null
}

/** Where nothing can leave, nothing is poured in: the stream only pushes. */
export function passingWater({ grid, domain }: Pick<FieldPlan, 'grid' | 'domain'>): PassingWater {
  const leaving = domain.mouth ? mouthCells(grid, domain.mouth) : []
  if (leaving.length === 0) return { inlets: [], outlet: null }
  const inlets = domain.streams
    .filter(({ from }) => from === 'nozzle')
    .map(({ jet, flowM3PerS }) => ({ cells: openingCells(grid, jet), flowM3PerS }))
    .filter(({ cells }) => cells.length > 0)
  const flow = inlets.reduce((sum, { flowM3PerS }) => sum + flowM3PerS, 0)
  return { inlets, outlet: flow > 0 ? { cells: leaving, flowM3PerS: -flow } : null }
}
