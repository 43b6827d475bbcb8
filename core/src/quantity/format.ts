import { fromSi, QUANTITIES, type QuantityName, type UnitFamily } from './units.ts'

/** A number that knows what it is. */
export interface Measured {
  readonly quantity: QuantityName
  readonly si: number
}

/** A shown number and its unit, apart so that they can be set in different type. */
export interface Shown {
  readonly number: string
  readonly unit: string
}

/** Thin space: groups thousands without looking like a decimal mark. */
const GROUP = '\u202f'
const MINUS = '\u2212'
/** Units that stand against their number. */
const CLOSE_UP = new Set(['%', '°', '/h', ''])

/** A quantity by name and its SI value. */
export function measured(quantity: QuantityName, si: number): Measured {
  return { quantity, si }
}

/** A quantity in a family's unit, rounded to what can be read. */
export function show({ quantity, si }: Measured, family: UnitFamily): Shown {
  const { shown: units, larger = [] } = QUANTITIES[quantity]
  const unit = larger.find(({ fromSi: from }) => Math.abs(si) >= from)?.unit ?? units[family]
  const shown = fromSi(unit, si)
  if (!Number.isFinite(shown)) return { number: '–', unit: unit.label }
  return { number: grouped(shown, unit.decimals(shown)), unit: unit.label }
}

/** "2 840 L/h". */
export function showText(value: Measured, family: UnitFamily): string {
  const { number, unit } = show(value, family)
  return joined(number, unit)
}

/** The half width of a value's band in the shown unit, with the value's own digits or as many as show it: a difference, so no offset. */
export function showBand({ quantity, si }: Measured, bandSi: number, family: UnitFamily): Shown {
  const unit = QUANTITIES[quantity].shown[family]
  const half = Math.abs(bandSi / unit.factor)
  const digits = Math.max(unit.decimals(fromSi(unit, si)), digitsToShow(half))
  return { number: grouped(half, digits), unit: unit.label }
}

/** Digits after the point that show the first figure of a number below one; none for zero. */
function digitsToShow(size: number): number {
  return size > 0 && size < 1 ? Math.min(6, Math.ceil(-Math.log10(size))) : 0
}

/** For a field: no grouping, no trailing zeros, a little more than is shown elsewhere. */
export function editable({ quantity, si }: Measured, family: UnitFamily): string {
  const unit = QUANTITIES[quantity].shown[family]
  const shown = fromSi(unit, si)
  const text = shown.toFixed(unit.decimals(shown) + 2)
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text
}

/** A number and its unit, a narrow space between them. */
export function joined(number: string, unit: string): string {
  return CLOSE_UP.has(unit) ? number + unit : `${number}\u00a0${unit}`
}

function grouped(value: number, digits: number): string {
  const text = Math.abs(value).toFixed(digits)
  const [whole = '0', fraction] = text.split('.')
  const withGroups = whole.replace(/\B(?=(\d{3})+$)/g, GROUP)
  const sign = value < 0 && Number(text) !== 0 ? MINUS : ''
  return sign + withGroups + (fraction ? `.${fraction}` : '')
}
