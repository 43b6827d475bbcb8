import { QUANTITIES, type QuantityName, toSi, type Unit, type UnitFamily } from './units.ts'

/** What a keeper typed, read; or why it could not be. */
export type Parsed =
  | { readonly ok: true; readonly si: number }
  | {
      readonly ok: false
      readonly reason: 'empty' | 'not-a-number' | 'unknown-unit'
      readonly unit?: string
    }

/** "1 1/4", "1/2", "-3.5", "1 200", "1,200", "0,5"; then whatever is left is the unit. */
const NUMBER =
  /^([+\-−]?)\s*(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d[\d\s\u202f\u00a0,]*(?:\.\d+)?|\.\d+)(e[+-]?\d+)?)/i

/** "mm", "″", "°F", "m³/h", "/h", "L/h/cm²", "g/100 L"; a 2 or 3 belongs to it unless more follows ("3ft2in"). */
const UNIT =
  /^(?:[%‰"'″′]|°?[a-zµ×]+(?:[23²³](?![\w.]))?|°)?(?:\/(?:\d+\s?)?[a-z]+(?:[23²³](?![\w.]))?)*/i

/**
 * Reads a quantity in either unit family: "32 mm", "1 1/4 in", "3 ft 2 in", "600 gph". A bare
 * number is in the family's shown unit.
 */
export function parseQuantity(text: string, quantity: QuantityName, family: UnitFamily): Parsed {
  let rest = text.trim()
  if (rest === '') return { ok: false, reason: 'empty' }
  const bareUnit = QUANTITIES[quantity].shown[family]
  let si = 0
  let parts = 0
  while (rest !== '') {
    const found = readNumber(rest)
    if (!found) return { ok: false, reason: 'not-a-number' }
    const unitText = UNIT.exec(found.rest)![0]
    const unit = unitText === '' && parts === 0 ? bareUnit : unitNamed(quantity, unitText)
    if (!unit) return { ok: false, reason: 'unknown-unit', unit: unitText }
    si += toSi(unit, found.number)
    parts++
    rest = found.rest.slice(unitText.length).trim()
    if (rest !== '' && unitText === '') return { ok: false, reason: 'not-a-number' }
  }
  return { ok: true, si }
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

/** A comma is a thousands mark when threes follow it ("1,200"), a decimal mark when it stands alone ("0,5"). */
function plainNumber(text: string, exponent = ''): number {
  const tight = text.replace(/[\s\u202f\u00a0]/g, '')
  const thousands = /^\d{1,3}(,\d{3})+(\.\d+)?$/.test(tight)
  return Number((thousands ? tight.replace(/,/g, '') : tight.replace(',', '.')) + exponent)
}

function unitNamed(quantity: QuantityName, typed: string): Unit | null {
  const { shown, alsoTyped } = QUANTITIES[quantity]
  const wanted = typed.toLowerCase().replace(/\s/g, '')
  const plain = wanted.replace('²', '2').replace('³', '3')
  const units = [shown.metric, shown.us, ...alsoTyped]
  return units.find((unit) => unit.typed.includes(wanted) || unit.typed.includes(plain)) ?? null
}
