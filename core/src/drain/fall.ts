import type { Water } from '../fluid/index.ts'
import { type Line, linkHead, type LinkHead, linkLaw, type LinkLaw } from '../network/index.ts'
import { type Pchip, risingRoot } from '../numeric/index.ts'

/** Full pipe that water falls through under its own weight. */
export interface Fall {
  readonly law: LinkLaw
  readonly shut: boolean
}

export function makeFall(line: Line, tables: readonly Pchip[], shut: boolean, water: Water): Fall {
  return { law: linkLaw({ line, tables, pump: null, oneWay: false }, water), shut }
}

const AT: LinkHead = { headM: 0, slope: 0 }

/** Two stretches of pipe, one after the other. */
export function inSeries(first: Fall, then: Fall): Fall {
  const law = {
    ...first.law,
    bores: [...first.law.bores, ...then.law.bores],
    tables: [...first.law.tables, ...then.law.tables],
  }
  return { law, shut: first.shut || then.shut }
}

/** Head that a flow loses in a full pipe, exit included, m. */
export function fallHeadM({ law }: Fall, flowM3PerS: number): number {
  linkHead(law, flowM3PerS, AT)
  return AT.headM
}

/** A pipe that costs nothing would let all through: this stands for it, m³/s. */
const MOST_FLOW_M3_PER_S = 1

/** A flow, and how much more a little more head would send; written into by `fallFlowAt`. */
export interface FallFlow {
  flowM3PerS: number
  /** dq/dh, m²/s. */
  perHead: number
}

/** Flow of a full pipe whose losses use up a head: H = (Σ K + f L/D) V²/2g. */
export function fallFlowAt(
  { law, shut }: Fall,
  headM: number,
  guessM3PerS: number,
  into: FallFlow,
): void {
  into.flowM3PerS = 0
  into.perHead = 0
  if (shut || headM <= 0) return
  const found = risingRoot(
    (flow, at) => {
      linkHead(law, flow, AT)
      at.value = AT.headM
      at.slope = AT.slope
    },
    headM,
    { low: 0, guess: guessM3PerS, most: MOST_FLOW_M3_PER_S, tolerance: 1e-8 },
  )
  into.flowM3PerS = Math.min(found, MOST_FLOW_M3_PER_S)
  into.perHead = AT.slope > 0 ? 1 / AT.slope : 0
}

const FOUND: FallFlow = { flowM3PerS: 0, perHead: 0 }

/** The same where only the flow is wanted. */
export function fallFlow(fall: Fall, headM: number, guessM3PerS = 1e-4): number {
  fallFlowAt(fall, headM, guessM3PerS, FOUND)
  return FOUND.flowM3PerS
}
