import { type Swap, swaps } from '../basin/index.ts'
import type { BasinDesign } from '../design/index.ts'
import type { PumpPart } from '../pump/index.ts'

/** A pump of one speed gives no more than this of what is wanted (choice). */
const MOST_OVER = 1.6

/** Of the pumps there are, the one that brings the wanted flow for the least power; the strongest where none does. */
export function bestPump(
  design: BasinDesign,
  shelf: readonly PumpPart[],
  wantedM3PerS: number,
): PumpPart {
  const all = swaps(design, shelf).map((swap) => ({ swap, part: partOf(shelf, swap) }))
  const enough = all.filter(({ swap }) => swap.intoTanksM3PerS >= wantedM3PerS)
  const suits = enough.filter(
    ({ swap, part }) =>
      part.control === 'controllable' || swap.intoTanksM3PerS <= MOST_OVER * wantedM3PerS,
  )
  const from = suits.length > 0 ? suits : enough
  const least = from.toSorted((a, b) => a.swap.wirePowerW - b.swap.wirePowerW)[0]
  const most = all.toSorted((a, b) => b.swap.intoTanksM3PerS - a.swap.intoTanksM3PerS)[0]
  return (least ?? most)!.part
}

const partOf = (shelf: readonly PumpPart[], { pumpId }: Swap) =>
  shelf.find(({ id }) => id === pumpId)!
