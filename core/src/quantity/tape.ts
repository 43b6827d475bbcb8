import { grouped, joined } from './format.ts'
import type { UnitFamily } from './units.ts'

const INCH_M = 0.0254

/** How fine a thing is marked: glass and acrylic to the 64th of an inch, pipe to the 32nd. */
type TapeParts = 64 | 32

/** A length in whole inches and the nearest part, as a tape has it: "13 3/32". */
export function tapeInches(m: number, parts: TapeParts): string {
  const all = Math.round((Math.abs(m) / INCH_M) * parts)
  const whole = Math.floor(all / parts)
  let over = all % parts
  let under: number = parts
  while (over > 0 && over % 2 === 0) {
    over /= 2
    under /= 2
  }
  const sign = m < 0 && all > 0 ? '\u2212' : ''
  if (over === 0) return `${sign}${whole}`
  return `${sign}${whole > 0 ? `${whole} ` : ''}${over}/${under}`
}

/** A length to mark and cut: in inches as a tape has them with the decimal beside, else to half a millimetre. */
export function cutText(
  m: number,
  family: UnitFamily,
  parts: TapeParts,
  withDecimal = true,
): string {
  if (family === 'metric') {
    const mm = Math.round(m * 2000) / 2
    return joined(grouped(mm, Number.isInteger(mm) ? 0 : 1), 'mm')
  }
  const asTape = joined(tapeInches(m, parts), 'in')
  return withDecimal ? `${asTape} (${(m / INCH_M).toFixed(parts === 64 ? 3 : 2)})` : asTape
}
