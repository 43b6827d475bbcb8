import { closingRise, type ThrottleValve } from '../fitting/valve.ts'
import { brent } from '../numeric/brent.ts'
import { speedMPerS, velocityHeadM } from '../pipe/flow.ts'

/** What is known of a siphon that its valve is to match to a flow. */
export interface Matching {
  readonly valve: ThrottleValve
  readonly boreM: number
  readonly flowM3PerS: number
  /** From the box's surface to the water or the air it ends in. */
  readonly dropM: number
  /** All losses but the valve's at this flow. */
  readonly otherLossM: number
  /** K of the open valve at this flow. */
  readonly openK: number
}

/** How a valve makes a siphon match a flow. */
export interface Matched {
  /** K of the whole valve that uses up the drop. */
  readonly neededK: number
  /** Share open of its stroke or quarter turn; null when even the open valve lets too little through. */
  readonly opening: number | null
  /** Change of the box's level for the whole stroke, were it all as at this setting, m; negative: opening lowers it. */
  readonly levelPerOpeningM: number | null
}

/** A gate's stroke and a quarter turn are shut this near to nil. */
const NEARLY_SHUT = 1e-9

export function matchValve(matching: Matching): Matched {
  const { valve, boreM, flowM3PerS, dropM, otherLossM, openK } = matching
  const velocityM = velocityHeadM(speedMPerS(flowM3PerS, boreM))
  const neededK = (dropM - otherLossM) / velocityM
  const rise = neededK - openK
  if (!(rise >= 0)) return { neededK, opening: null, levelPerOpeningM: null }
  const least = leastOpening(valve)
  const found = brent((at) => (closingRise(valve, at) ?? Infinity) - rise, least, 1, {
    tolerance: 1e-13,
  })
  if (!found.ok) return { neededK, opening: null, levelPerOpeningM: null }
  const opening = found.value
  const step = 1e-6
  const up = closingRise(valve, Math.min(1, opening + step))!
  const down = closingRise(valve, Math.max(least, opening - step))!
  const span = Math.min(1, opening + step) - Math.max(least, opening - step)
  return { neededK, opening, levelPerOpeningM: ((up - down) / span) * velocityM }
}

function leastOpening(valve: ThrottleValve): number {
  let low = 0
  let high = 1
  while (high - low > NEARLY_SHUT) {
    const middle = (low + high) / 2
    if (closingRise(valve, middle) === null) low = middle
    else high = middle
  }
  return high
}
