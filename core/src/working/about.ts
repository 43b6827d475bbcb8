import { type BasinDesign, byId, partOf } from '../design/index.ts'
import { rulesOfThumb } from '../figures/index.ts'
import type { Judged } from '../judge/index.ts'
import { pumpOf } from '../layout/index.ts'
import { steadyState } from '../loop/index.ts'
import type { Worked } from './working.ts'

/** Which one a figure is of; what is left out is what the design is known by. */
export interface AboutWhich {
  readonly lineId?: string | null
  readonly tankId?: string | null
  readonly drainId?: string | null
  readonly chamberId?: string | null
  readonly deviceId?: string | null
  /** Of a sterilizer: what it is to reach. */
  readonly targetId?: string | null
}

/** A solved design, and which of its parts a figure is of. */
export interface About extends AboutWhich {
  readonly design: BasinDesign
  readonly solved: Judged
}

/** The line and the tank that a figure of the return side is of. */
export function workedAt({ design, solved, lineId, tankId }: About): Worked {
  const { layout } = steadyState(design)
  const { lines, leadLineId } = solved.returnSide
  const line =
    lines.find((solvedLine) => solvedLine.lineId === lineId) ??
    lines.find((solvedLine) => solvedLine.lineId === leadLineId)!
  const { end } = byId(design.returnSide.lines, line.lineId, 'line')
  const ofTank = tankId ?? (end.at === 'tank' ? end.id : design.tanks[0]!.id)
  const at = Math.max(
    0,
    design.tanks.findIndex(({ id }) => id === ofTank),
  )
  const solvedTank = solved.tanks[at]!
  const laid = layout.lines.findIndex((laidLine) => laidLine.line.id === line.lineId)
  return {
    design,
    water: solved.water,
    tank: design.tanks[at]!,
    solvedTank,
    line,
    part: partOf(design, line.pump.partId),
    sourceLevelM: pumpOf(layout, laid).sourceLevelM,
    rules: rulesOfThumb(layout, line, solvedTank.turnoverPerH),
  }
}
