import type { DoseTarget } from '../../uv/index.ts'
import { againstTarget } from './solve-sterilizer.ts'

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
  doseFlow: number,
  volumeM3: number,
  range: { readonly fromM3PerS: number; readonly toM3PerS: number; readonly points: number },
): RemovalPoint[] {
  const { fromM3PerS, toM3PerS, points } = range
  return Array.from({ length: points }, (_, i) => {
    const flowM3PerS = fromM3PerS * (toM3PerS / fromM3PerS) ** (i / (points - 1))
    return {
      flowM3PerS,
      doseJPerM2: doseFlow / flowM3PerS,
      removalPerS: againstTarget(target, doseFlow, flowM3PerS, volumeM3).removalPerS,
    }
  })
}
