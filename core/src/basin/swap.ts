import { applyEdits, type BasinDesign } from '../design/index.ts'
import { choosePump } from '../editing/index.ts'
import { figuresOf, wantedOfPump } from '../figures/index.ts'
import { steadyState } from '../loop/index.ts'
import { type PumpPart, pumpPower, wirePowerW } from '../pump/index.ts'

/** What another pump would do in a pump's place at full speed. */
export interface Swap {
  readonly pumpId: string
  /** Through the pump. */
  readonly flowM3PerS: number
  readonly flowBandM3PerS: number
  /** Into all tanks together. */
  readonly intoTanksM3PerS: number
  readonly intoTanksBandM3PerS: number
  readonly wirePowerW: number
  /** What the ends of the lines in that place want together; null: nothing. */
  readonly wantedM3PerS: number | null
}

/** Each pump on the shelf in the place of a present one. */
export function swaps(
  design: BasinDesign,
  shelf: readonly PumpPart[],
  placedId = design.returnSide.pumps[0]?.id,
): Swap[] {
  return shelf.map((part) => swapOf(pumpSwappedIn(design, part, placedId), part, placedId))
}

/** The design with another pump in a pump's place, at a speed. */
export function pumpSwappedIn(
  design: BasinDesign,
  part: PumpPart,
  placedId: string | undefined,
  speed = 1,
): BasinDesign {
  const index = design.returnSide.pumps.findIndex(({ id }) => id === placedId)
  return index < 0 ? design : applyEdits(design, choosePump(design, index, part, speed))
}

function swapOf(design: BasinDesign, part: PumpPart, placedId: string | undefined): Swap {
  const { returnSide, tanks } = figuresOf(steadyState(design))
  const wantedByTank = Object.fromEntries(
    tanks.map(({ tankId, wantedFlowM3PerS }) => [tankId, wantedFlowM3PerS]),
  )
  const pump = returnSide.pumps.find((solvedPump) => solvedPump.placedId === placedId)
  const flowM3PerS = pump?.flowM3PerS ?? 0
  return {
    pumpId: part.id,
    flowM3PerS,
    flowBandM3PerS: pump?.flowBandM3PerS ?? 0,
    intoTanksM3PerS: returnSide.flowM3PerS,
    intoTanksBandM3PerS: returnSide.flowBandM3PerS,
    wirePowerW: wirePowerW(pumpPower(part), Math.max(0, flowM3PerS), 1),
    wantedM3PerS: placedId === undefined ? null : wantedOfPump(design, placedId, wantedByTank),
  }
}
