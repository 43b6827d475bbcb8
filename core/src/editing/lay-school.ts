import { applyEdits, type BasinDesign, type Edit, setTo } from '../design/index.ts'
import { figuresOf } from '../figures/index.ts'
import { steadyState } from '../loop/index.ts'
import type { PipeSeries } from '../pipe/index.ts'
import { newDrains } from './gravity/new-drains.ts'
import type { DrainSchool } from './gravity/schools.ts'
import { sensorEdits } from './level-sensor.ts'
import { entryOf } from './sump/sump-edits.ts'

/**
 * A school of drains laid for a tank in place of what drains it now, for what its return brings or
 * should bring. A lone pipe has nothing beside it that takes over: it gets a level sensor that stops
 * the pump. Throws for a tank without a box.
 */
export function schoolEdits(
  design: BasinDesign,
  tankIndex: number,
  { school, series }: { readonly school: DrainSchool; readonly series: PipeSeries },
): Edit[] {
  const { id } = design.tanks[tankIndex]!
  const { flowM3PerS, wantedFlowM3PerS } = figuresOf(steadyState(design)).tanks[tankIndex]!
  const drains = newDrains(design, {
    tankId: id,
    school,
    chamberId: entryOf(design.sump).id,
    series,
    flowM3PerS: Math.max(flowM3PerS, wantedFlowM3PerS),
  })
  const others = design.drains.filter(({ tankId }) => tankId !== id)
  const laid = [setTo(['drains'], [...others, ...drains])]
  if (drains.length > 1) return laid
  return [...laid, ...sensorEdits(steadyState(applyEdits(design, laid)), tankIndex)]
}
