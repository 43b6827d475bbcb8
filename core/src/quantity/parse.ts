import { QUANTITIES, type QuantityName, toSi, type Unit, type UnitFamily } from './units.ts'

/** What a keeper typed, read; or why it could not be. `others`: what it could be read as besides. */
export type Parsed =
  | { readonly ok: true; readonly si: number; readonly others: readonly number[] }
  | {
      readonly ok: false
      readonly reason: 'empty' | 'not-a-number' | 'unknown-unit'
      readonly unit?: string
    }

/** "1 1/4", "1/2", "-3.5", "1 200", "1,200", "0,5", "3.000,5"; then whatever is left is the unit. */
const NUMBER =
  /^([+\-−]?)\s*(?:(\d+)[\s-]+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d[\d\s\u202f\u00a0,.]*\d|\d|\.\d+)\.?(e[+-]?\d+)?)/i

/** "mm", "″", "°F", "m³/h", "/h", "L/h/cm²", "g/100 L"; a 2 or 3 belongs to it unless more follows ("3ft2in", "1m20"). */
const UNIT =
  /^(?:[%‰"'″′]|°?[a-zµ×]+(?:[23²³](?![\w.]))?|°)?(?:\/(?:\d+\s?)?[a-z]+(?:[23²³](?![\w.]))?)*/i

/** What follows metres or feet without a unit of its own: "1m20", "4'3". */
const SMALLER: Readonly<Record<string, (digits: string) => string>> = {
  m: (digits) => (digits.length === 2 ? 'cm' : 'mm'),
  ft: () => 'in',
}
const LEFT_OVER = /^\d{1,3}(?:[.,]\d+|\s+\d+\/\d+)?$/

/**
 * Reads a quantity in either unit family as people write it: "32 mm", "1 1/4 in", "1½"", "4'3"",
 * "1m20", "600 gph", "2000 L / h", "3.000,5". A bare number is in the family's shown unit. A single
 * dot before three digits is read as a decimal one; where the family is no US one it could be of
 * thousands too, and that reading stands among the others.
 */
export function parseQuantity(text: string, quantity: QuantityName, family: UnitFamily): Parsed {
  const plain = inPlainSigns(text)
  const read = readAll(plain, quantity, family)
  if (!read.ok) return read
  const many = plain.replace(DOTTED_THOUSANDS, (_, before: string, after: string) => before + after)
  const settled = many === plain || family === 'us' || read.isUs
  const other = settled ? null : readAll(many, quantity, family)
  return { ok: true, si: read.si, others: other?.ok && other.si !== read.si ? [other.si] : [] }
}

/** "3.000" and no more: three, or three thousand. */
const DOTTED_THOUSANDS = /(?<![\d.,])([1-9]\d{0,2})\.(\d{3})(?![\d.,])/

type ReadAll =
  | { readonly ok: true; readonly si: number; readonly isUs: boolean }
  | Extract<Parsed, { ok: false }>

function readAll(text: string, quantity: QuantityName, family: UnitFamily): ReadAll {
  let rest = text
  if (rest === '') return { ok: false, reason: 'empty' }
  const { shown } = QUANTITIES[quantity]
  let si = 0
  let parts = 0
  let isUs = false
  let last: Unit | null = null
  while (rest !== '') {
    const found = readNumber(rest)
    if (!found) return { ok: false, reason: 'not-a-number' }
    const unitText = UNIT.exec(found.rest)![0]
    const unit: Unit | null =
      unitText !== ''
        ? unitNamed(quantity, unitText)
        : parts === 0
          ? shown[family]
          : smallerUnit(quantity, last, rest)
    if (!unit) return { ok: false, reason: 'unknown-unit', unit: unitText }
    si += toSi(unit, found.number)
    isUs ||= unitText !== '' && unit === shown.us && shown.us !== shown.metric
    parts++
    last = unit
    rest = found.rest.slice(unitText.length).trim()
    if (rest !== '' && unitText === '') return { ok: false, reason: 'not-a-number' }
  }
  return { ok: true, si, isUs }
}

/** The unit of digits that follow a larger one: "1m20" is 1 m 20 cm. */
function smallerUnit(quantity: QuantityName, last: Unit | null, digits: string): Unit | null {
  const named = last && SMALLER[last.typed.find((name) => name in SMALLER) ?? '']
  return named && LEFT_OVER.test(digits) ? unitNamed(quantity, named(digits)) : null
}

const FRACTIONS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

/** Curly quotes, fractions in one sign, an apostrophe between thousands, spaces round a stroke: in plain signs. */
function inPlainSigns(text: string): string {
  return text
    .trim()
    .replace(/[“”″]/g, '"')
    .replace(/[‘’′]/g, "'")
    .replace(/(\d)\s*⁄\s*(\d)/g, '$1/$2')
    .replace(/(\d?)\s*([½⅓⅔¼¾⅛⅜⅝⅞])/g, (_, whole: string, sign: string) =>
      whole ? `${whole} ${FRACTIONS[sign]}` : FRACTIONS[sign]!,
    )
    .replace(/(\d)'(?=\d{3}(?!\d))/g, '$1')
    .replace(/\s*\/\s*(?=[a-z])/gi, '/')
}

function readNumber(text: string): { number: number; rest: string } | null {
  const match = NUMBER.exec(text)
  if (!match) return null
  const [whole, sign, mixed, mixedOver, mixedUnder, over, under, decimal, exponent] = match
  const size = mixed
    ? Number(mixed) + Number(mixedOver) / Number(mixedUnder)
    : over
      ? Number(over) / Number(under)
      : plainNumber(decimal!, exponent)
  if (!Number.isFinite(size)) return null
  return { number: sign && sign !== '+' ? -size : size, rest: text.slice(whole.length).trim() }
}

const GROUPED_BY_COMMAS = /^\d{1,3}(,\d{3})+(\.\d+)?$/
const GROUPED_BY_DOTS = /^\d{1,3}(\.\d{3})+(,\d+)$|^\d{1,3}(\.\d{3}){2,}$/

/** A comma is a thousands mark when threes follow it ("1,200"), a decimal mark when it stands alone ("0,5") or after dots ("3.000,5"). */
function plainNumber(text: string, exponent = ''): number {
  const tight = text.replace(/[\s\u202f\u00a0]/g, '')
  const plain = GROUPED_BY_COMMAS.test(tight)
    ? tight.replace(/,/g, '')
    : GROUPED_BY_DOTS.test(tight)
      ? tight.replace(/\./g, '').replace(',', '.')
      : tight.replace(',', '.')
  return Number(plain + exponent)
}

function unitNamed(quantity: QuantityName, typed: string): Unit | null {
  const { shown, alsoTyped } = QUANTITIES[quantity]
  const wanted = typed.toLowerCase().replace(/\s/g, '')
  const plain = wanted.replace('²', '2').replace('³', '3')
  const units = [shown.metric, shown.us, ...alsoTyped]
  return units.find((unit) => unit.typed.includes(wanted) || unit.typed.includes(plain)) ?? null
}
