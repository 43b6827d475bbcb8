import type { PumpPart } from '@yew-basin/core'

/** What is wrong with a pump's printed figures, in words; empty when it can be used. */
export function curveFaults(
  part: Pick<PumpPart, 'curve' | 'power' | 'shutOffHeadM' | 'maxFlowM3PerS'>,
): string[] {
  const { curve, power } = part
  const faults: string[] = []
  if (curve.length === 1) faults.push('a curve needs two points or more, or none; it has 1')
  if (curve.length === 0 && (!part.shutOffHeadM || !part.maxFlowM3PerS)) {
    faults.push('without a curve it needs both most flow and most head')
  }
  faults.push(...flowsRise(curve, 'curve'), ...flowsRise(power, 'power list'))
  if (power.length === 1) faults.push('a power list needs two points or more, or none; it has 1')
  const level = curve.findIndex((point, i) => i > 0 && !(point.headM < curve[i - 1]!.headM))
  if (level > 0) {
    faults.push(`head must fall as the flow rises: point ${level + 1} is not below point ${level}`)
  }
  const first = curve[0]
  if (
    first &&
    first.flowM3PerS > 0 &&
    part.shutOffHeadM !== null &&
    part.shutOffHeadM < first.headM
  ) {
    faults.push('the shut-off head must not be below the first point')
  }
  return faults
}

function flowsRise(points: readonly { flowM3PerS: number }[], what: string): string[] {
  const at = points.findIndex(
    (point, i) => i > 0 && !(point.flowM3PerS > points[i - 1]!.flowM3PerS),
  )
  return at > 0 ? [`flow must rise along the ${what}: point ${at + 1} does not`] : []
}
