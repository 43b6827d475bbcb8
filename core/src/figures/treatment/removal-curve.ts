import type { DoseTarget } from '../../uv/index.ts'
import type { SolvedLoad, SolvedSterilizer } from './solved-treatment.ts'
import { againstTarget, type LampWater } from './solve-sterilizer.ts'

/** A flow through the lamp, and what it would do. */
export interface RemovalPoint {
  readonly flowM3PerS: number
  readonly doseJPerM2: number
  /** 1/s, against the target. */
  readonly removalPerS: number
}

/** Dose and removal over a range of flows, evenly on a logarithm: slow for dose, fast for turnover. */
export function removalCurve(
  target: DoseTarget,
  lit: Pick<SolvedSterilizer, 'doseFlow' | 'flowM3PerS' | 'path' | 'overflowM3PerS'>,
  { displayM3, sumpM3 }: Pick<SolvedLoad, 'displayM3' | 'sumpM3'>,
  range: { readonly fromM3PerS: number; readonly toM3PerS: number; readonly points: number },
): RemovalPoint[] {
  const { fromM3PerS, toM3PerS, points } = range
  const { path, overflowM3PerS, doseFlow } = lit
  // More through a lamp that ends in the display is more over its overflow too.
  const more = (flowM3PerS: number) =>
    path === 'sump-to-display' ? Math.max(0, flowM3PerS - lit.flowM3PerS) : 0
  return Array.from({ length: points }, (_, i) => {
    const flowM3PerS = fromM3PerS * (toM3PerS / fromM3PerS) ** (i / (points - 1))
    const water: LampWater = {
      displayM3,
      sumpM3,
      path,
      flowShare: 0,
      overflowM3PerS: overflowM3PerS + more(flowM3PerS),
    }
    return {
      flowM3PerS,
      doseJPerM2: doseFlow / flowM3PerS,
      removalPerS: againstTarget(target, doseFlow, flowM3PerS, water).removalPerS,
    }
  })
}
