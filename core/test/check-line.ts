import { type CheckFitting, fittingOf, kindOf } from './check-fitting.ts'
import { type Line, makeLine } from '../src/network/line.ts'

/** A line as the check tables write it. */
export interface CheckLine {
  pipes: { bore_m: number; length_m: number; roughness_m: number; f_multiplier?: number }[]
  fittings: CheckFitting[]
}

/** A table's line, with further fittings; a shut valve in it is left out, and the link is shut instead. */
export function checkLine(
  { pipes, fittings }: CheckLine,
  more: readonly CheckFitting[] = [],
): Line {
  return makeLine(
    pipes.map(({ bore_m, length_m, roughness_m, f_multiplier = 1 }) => ({
      boreM: bore_m,
      lengthM: length_m,
      roughnessM: roughness_m,
      factor: f_multiplier,
      ribbed: f_multiplier !== 1,
    })),
    [...fittings, ...more].flatMap((fitting) => {
      const loss = fittingOf(fitting)
      const laid = { boreM: fitting.bore_m, loss: loss!, kind: kindOf(fitting) }
      return loss ? Array.from({ length: fitting.count ?? 1 }, () => laid) : []
    }),
  )
}
