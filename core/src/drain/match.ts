import { closingRise, openingOfRise, SPREAD, type ThrottleValve } from '../fitting/index.ts'
import { speedMPerS, velocityHeadM } from '../pipe/index.ts'

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
  /** How far the other losses may be off, m. */
  readonly otherSpreadM: number
  /** How far the flow may be off. */
  readonly flowBandM3PerS: number
}

/** How a valve makes a siphon match a flow. */
export interface Matched {
  /** K of the whole valve that uses up the drop. */
  readonly neededK: number
  /** Share open of its stroke or quarter turn; null when even the open valve lets too little through, or the flow is less than it can be set to. */
  readonly opening: number | null
  /** How far that may be off: by the other losses, by the valve's own K, by the flow; null: as above. */
  readonly openingBand: number | null
  /** Change of the box's level for the whole stroke, were it all as at this setting, m; negative: opening lowers it. */
  readonly levelPerOpeningM: number | null
}

/**
 * The valve's K at which a siphon carries a flow and no more: ΔH = (Σh + K V²/2g) (hydraulics
 * reference, §7), and the opening that has it.
 */
export function matchValve(matching: Matching): Matched {
  const { valve, boreM, flowM3PerS, dropM, otherLossM, openK } = matching
  const none = { opening: null, openingBand: null, levelPerOpeningM: null }
  const velocityM = velocityHeadM(speedMPerS(flowM3PerS, boreM))
  const neededK = (dropM - otherLossM) / velocityM
  const rise = neededK - openK
  if (!(rise >= 0)) return { neededK, ...none }
  const { opening, slope } = openingOfRise(valve, rise)
  if (closingRise(valve, opening) === null) return { neededK, ...none }
  const levelPerOpeningM = slope * velocityM
  return {
    neededK,
    opening,
    openingBand: Math.min(1, Math.abs(spreadM(matching, neededK * velocityM) / levelPerOpeningM)),
    levelPerOpeningM,
  }
}

/** How far the head that the valve has to use up may be off; all losses go with the flow's square. */
function spreadM(
  { dropM, flowM3PerS, flowBandM3PerS, otherSpreadM }: Matching,
  valveLossM: number,
): number {
  const byFlowM = (2 * dropM * flowBandM3PerS) / flowM3PerS
  return Math.hypot(otherSpreadM, SPREAD['part-closed-valve'] * valveLossM, byFlowM)
}
