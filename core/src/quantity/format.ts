import { fromSi, QUANTITIES, type QuantityName, type Unit, type UnitFamily } from './units.ts'

/** A number that knows what it is. */
export interface Measured {
  readonly quantity: QuantityName
  readonly si: number
  /** Half width of its band, where it has one: it is shown to the same place. */
  readonly bandSi?: number
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

/** A quantity by name and its SI value, with its band's half width where it has one. */
export function measured(quantity: QuantityName, si: number, bandSi?: number): Measured {
  return bandSi === undefined ? { quantity, si } : { quantity, si, bandSi }
}

/** A quantity in a family's unit, rounded to what can be read. */
export function show(value: Measured, family: UnitFamily): Shown {
  const { mostSi = Infinity } = QUANTITIES[value.quantity]
  const isTime = mostSi < Infinity
  if (isTime && value.si === Infinity) return { number: 'never', unit: '' }
  const unit = unitOf(value, family)
  const shown = fromSi(unit, value.si)
  // A dash with a unit would read as a figure.
  if (!Number.isFinite(shown)) return { number: '–', unit: '' }
  if (value.si > mostSi) return { number: `over ${fromSi(unit, mostSi)}`, unit: unit.label }
  return { number: rounded(shown, placeOf(unit, shown, value.bandSi ?? 0)), unit: unit.label }
}

function unitOf({ quantity, si }: Measured, family: UnitFamily): Unit {
  const { shown: units, larger = [] } = QUANTITIES[quantity]
  return larger.find(({ fromSi: from }) => Math.abs(si) >= from)?.unit ?? units[family]
}

/** So many figures of a band are told at most; its value is shown to the same place. */
const BAND_FIGURES = 2

/** The power of ten of the last figure that is told: no finer than can be read, nor than is known. */
function placeOf(unit: Unit, shown: number, bandSi: number): number {
  const readable = -unit.decimals(shown)
  const half = Math.abs(bandSi / unit.factor)
  return half > 0 ? Math.max(readable, firstFigure(half) - (BAND_FIGURES - 1)) : readable
}

/** The power of ten of a number's first figure, as it is told to two. */
function firstFigure(size: number): number {
  const power = Math.floor(Math.log10(size))
  return Math.round(size / 10 ** (power - 1)) >= 100 ? power + 1 : power
}

/** A number to a power of ten. */
function rounded(value: number, place: number): string {
  const step = 10 ** place
  return place < 0 ? grouped(value, -place) : grouped(Math.round(value / step) * step, 0)
}

/** "2 840 L/h"; to the place of its band where it has one. */
export function showText(value: Measured, family: UnitFamily): string {
  const { number, unit } = show(value, family)
  return joined(number, unit)
}

/** The half width of a value's band in its own shown unit, to two figures: a difference, so no offset. */
export function showBand(value: Measured, bandSi: number, family: UnitFamily): Shown {
  const unit = unitOf(value, family)
  const half = Math.abs(bandSi / unit.factor)
  if (!(half > 0) || !Number.isFinite(half)) return { number: '0', unit: unit.label }
  const place = placeOf(unit, fromSi(unit, value.si), bandSi)
  // One that would round away is told by its first figure.
  const told = half < 10 ** place / 2 ? firstFigure(half) : place
  return { number: rounded(half, told), unit: unit.label }
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

/** Digits in groups of three, with so many after the point. */
export function grouped(value: number, digits: number): string {
  const text = Math.abs(value).toFixed(digits)
  const [whole = '0', fraction] = text.split('.')
  const withGroups = whole.replace(/\B(?=(\d{3})+$)/g, GROUP)
  const sign = value < 0 && Number(text) !== 0 ? MINUS : ''
  return sign + withGroups + (fraction ? `.${fraction}` : '')
}
