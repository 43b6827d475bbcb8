import type { Limit } from '@yew-basin/contract/limits'
import { show, type UnitFamily } from '@yew-basin/core'

/** "100–10 000 mm". */
export function rangeText({ quantity, min, max }: Limit, family: UnitFamily): string {
  const low = show({ quantity, si: min }, family)
  const high = show({ quantity, si: max }, family)
  return `${low.number}–${high.number} ${high.unit}`.trim()
}
