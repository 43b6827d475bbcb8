import { breakHoleM } from '../design/index.ts'
import { type LaidLine, pumpOf } from '../layout/index.ts'
import { type Mode, runsNow } from './mode.ts'
import type { Plant } from './plant.ts'

/** A line through which the water at its end may run back. */
export interface MayRunBack {
  readonly lineId: string
  /** The vessel it ends in, and the level in it at which air gets in, m. */
  readonly level: number
  readonly airM: number
}

/** Every line that ends under water and has no air in it yet; one that ends in the sump once its pump stands. */
export function mayRunBack(plant: Plant, mode: Mode): MayRunBack[] {
  const { layout, design } = plant.steady
  return layout.lines.flatMap((laid, i): MayRunBack[] => {
    const { end, id } = laid.line
    if (laid.end !== 'under-water' || mode.broken.has(id)) return []
    if (end.at === 'chamber') {
      if (pumpRuns(plant, mode, i)) return []
      return [{ lineId: id, level: plant.chamberAt.get(end.id!)!, airM: laid.mouth.zM }]
    }
    if (end.at !== 'tank') return []
    const tank = design.tanks.findIndex((display) => display.id === end.id)
    const holeM = mode.grown.has(id) ? null : breakHoleM(design.tanks[tank]!, end)
    const airM = Math.max(holeM ?? -Infinity, laid.mouth.zM)
    return [{ lineId: id, level: tank, airM }]
  })
}

/** Lines that end over the sump's water and are empty once their pump stands: nothing runs back through them. */
export function endsInAir(plant: Plant, mode: Mode): string[] {
  const isEmpty = ({ line, end }: LaidLine, i: number) =>
    line.end.at === 'chamber' && end !== 'under-water' && !pumpRuns(plant, mode, i)
  return plant.steady.layout.lines.filter(isEmpty).map(({ line }) => line.id)
}

/** Does the pump that feeds a line run? */
const pumpRuns = ({ steady: { layout } }: Plant, mode: Mode, line: number) =>
  runsNow(mode, pumpOf(layout, line).placed)
