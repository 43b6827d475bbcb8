import { applyEdits, type BasinDesign } from '../design/index.ts'
import { choosePump } from '../editing/index.ts'
import { pumpFlow, tankFlow } from '../layout/index.ts'
import { steadyState } from '../loop/index.ts'
import { type PumpPart, pumpPower, wirePowerW } from '../pump/index.ts'

/** What another pump would do in a pump's place at full speed. */
export interface Swap {
  readonly pumpId: string
  /** Through the pump. */
  readonly flowM3PerS: number
  /** Into all tanks together. */
  readonly intoTanksM3PerS: number
  readonly wirePowerW: number
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
  const {
    layout,
    solution: { flows },
  } = steadyState(design)
  const pump = layout.pumps.find(({ placed }) => placed.id === placedId)
  const flowM3PerS = pumpFlow(layout, pump?.lineIndex ?? null, flows)
  return {
    pumpId: part.id,
    flowM3PerS,
    intoTanksM3PerS: tankFlow(layout, flows),
    wirePowerW: wirePowerW(pumpPower(part), Math.max(0, flowM3PerS), 1),
  }
}
