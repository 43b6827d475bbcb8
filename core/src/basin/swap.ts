import { solveDuty } from '../network/duty.ts'
import { pumpPower, wirePowerW } from '../pump/power.ts'
import type { PumpPart } from '../pump/part.ts'
import type { BasinDesign } from './design.ts'
import { layOut } from './layout.ts'

/** What another pump would do in this run at full speed. */
export interface Swap {
  readonly pumpId: string
  readonly flowM3PerS: number
  readonly wirePowerW: number
}

/** Each pump on the shelf in the place of the present one. */
export function swaps(design: BasinDesign, shelf: readonly PumpPart[]): Swap[] {
  return shelf.map((part) => {
    const { problem } = layOut({
      ...design,
      returnSide: { ...design.returnSide, pumpId: part.id, speed: 1 },
      pumps: [part],
    })
    const outcome = solveDuty(problem)
    const flowM3PerS = outcome.ok ? outcome.value.flowM3PerS : 0
    return {
      pumpId: part.id,
      flowM3PerS,
      wirePowerW: wirePowerW(pumpPower(part), flowM3PerS, 1),
    }
  })
}
