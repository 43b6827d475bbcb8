import type { Water } from '../fluid/water.ts'
import { AS_COMPUTED, type Line, type LossScale } from '../network/line.ts'
import { linkHead, linkLaw, type LinkHead, type LinkLaw } from '../network/laws.ts'
import type { Pchip } from '../numeric/pchip.ts'

/** Full pipe that water falls through under its own weight. */
export interface Fall {
  readonly law: LinkLaw
  readonly shut: boolean
}

export function makeFall(
  line: Line,
  tables: readonly Pchip[],
  shut: boolean,
  water: Water,
  scale: LossScale = AS_COMPUTED,
): Fall {
  const link = { id: '', from: 0, to: 1, line, tables, pump: null, oneWay: false, shut }
  return { law: linkLaw(link, water, scale), shut }
}

const AT: LinkHead = { headM: 0, slope: 0 }

/** Head that a flow loses in a full pipe, exit included, m. */
export function fallHeadM({ law }: Fall, flowM3PerS: number): number {
  linkHead(law, flowM3PerS, AT)
  return AT.headM
}

const MOST_STEPS = 60

/**
 * Flow of a full pipe whose losses use up a head: H = (Σ K + f L/D) V²/2g. Newton on the loss,
 * which rises and bends upward; where friction's transition bends it back the bracket holds.
 */
export function fallFlow(fall: Fall, headM: number, guessM3PerS = 1e-4): number {
  if (fall.shut || headM <= 0) return 0
  let low = 0
  let high = Infinity
  let flow = Math.max(guessM3PerS, 1e-9)
  for (let step = 0; step < MOST_STEPS; step++) {
    linkHead(fall.law, flow, AT)
    const over = AT.headM - headM
    if (over > 0) high = flow
    else low = flow
    if (AT.slope === 0) {
      flow *= 10
      continue
    }
    let next = flow - over / AT.slope
    if (next <= low || next >= high) next = high === Infinity ? flow * 2 : (low + high) / 2
    if (Math.abs(next - flow) <= 1e-13 * next || next > MOST_FLOW_M3_PER_S) return next
    flow = next
  }
  return flow
}

/** A pipe that costs nothing would let all through: this stands for it, m³/s. */
const MOST_FLOW_M3_PER_S = 1
