import { AS_COMPUTED } from '../network/line.ts'
import { makeNetwork } from '../network/network.ts'
import { pumpPower, wirePowerW } from '../pump/power.ts'
import type { PumpPart } from '../pump/part.ts'
import type { BasinDesign } from './design.ts'
import { layOut } from './layout/layout.ts'
import { run } from './running.ts'

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
  return shelf.map((part) => swapOf(swappedIn(design, part, placedId), part, placedId))
}

/** The design with another pump in a pump's place, at full speed. */
export function swappedIn(
  design: BasinDesign,
  part: PumpPart,
  placedId: string | undefined,
): BasinDesign {
  const pumps = design.returnSide.pumps.map((placed) =>
    placed.id === placedId ? { ...placed, pumpId: part.id, speed: 1, stopped: false } : placed,
  )
  const others = design.pumps.filter(({ id }) => id !== part.id)
  return {
    ...design,
    returnSide: { ...design.returnSide, pumps },
    pumps: [...others, part],
  }
}

function swapOf(design: BasinDesign, part: PumpPart, placedId: string | undefined): Swap {
  const layout = layOut(design)
  const { running } = run(makeNetwork(layout.problem), AS_COMPUTED)
  const pump = layout.pumps.find(({ placed }) => placed.id === placedId)
  const endOf = (index: number) => layout.segments[index]!.at(-1)!.link
  const flowM3PerS =
    pump?.lineIndex == null ? 0 : running.flowsM3PerS[layout.segments[pump.lineIndex]![0]!.link]!
  return {
    pumpId: part.id,
    flowM3PerS,
    intoTanksM3PerS: layout.lines.reduce(
      (sum, { line, index }) =>
        line.end.at === 'tank' ? sum + running.flowsM3PerS[endOf(index)]! : sum,
      0,
    ),
    wirePowerW: wirePowerW(pumpPower(part), Math.max(0, flowM3PerS), 1),
  }
}
