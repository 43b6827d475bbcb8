import type { KeyFigure } from '@yew-basin/core'
import type { useUnits } from '../shell/units.ts'

/** What stands beside a key figure: its band, what it costs, what it is held against. */
export function besideFigure(
  { value, beside: by }: KeyFigure,
  units: ReturnType<typeof useUnits>,
): string {
  if (!by) return ''
  if (by.is === 'band') return `± ${units.band(value, by.si)}`
  if (by.is === 'yearly') {
    return by.cost
      ? `${units.shown(by.cost).number} ${by.currency}/yr`
      : `${units.shown(by.energy).number} ${units.shown(by.energy).unit}/yr`
  }
  return by.is === 'of' ? `of ${units.shown(by.value).number}` : by.text
}
