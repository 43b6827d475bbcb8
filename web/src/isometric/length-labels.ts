import type { building } from '@yew-basin/core'
import { PIPE_PARTS } from '../building/cut-words.ts'
import type { useUnits } from '../shell/units.ts'
import { barLabel, type LabelOf, signLabel } from './isometric-labels.ts'

/** At each piece its mark and what is sawn, and from middle to middle; what pumps, devices and ends are. */
export function lengthLabels(
  { bars, signs }: building.Isometric,
  units: ReturnType<typeof useUnits>,
): LabelOf[] {
  return [
    ...bars.flatMap((bar) => {
      if (!bar.cut) return []
      const { mark, cutM, centreToCentreM } = bar.cut
      const sawn = cutM > 0 ? units.cut(cutM, PIPE_PARTS, false) : 'no room'
      return [
        barLabel(bar, [`${mark}  ${sawn}`, `c–c ${units.cut(centreToCentreM, PIPE_PARTS, false)}`]),
      ]
    }),
    ...signs.filter(({ name }) => name).map((sign) => signLabel(sign, [endWords(sign)])),
  ]
}

/** Where a run begins and ends. */
function endWords({ kind, name, after }: building.IsometricSign): string {
  if (kind === 'pump' || kind === 'device') return name
  if (kind === 'leg') return after ? `from ${name}` : `to ${name}`
  return name
}
