import { Refusal } from './refusal.ts'

/** How much the text of a body may hold, counted before anything parses it. */
export interface TextBudget {
  readonly depth: number
  /** Names of properties. */
  readonly keys: number
  /** Values of lists and objects together. */
  readonly values: number
}

/** A name, a key, a part. */
export const SMALL_BODY: TextBudget = { depth: 12, keys: 3000, values: 6000 }
/** One design as full as the format allows. */
export const DESIGN_BODY: TextBudget = { depth: 24, keys: 40_000, values: 60_000 }
/** A whole basin. */
export const BASIN_BODY: TextBudget = { depth: 24, keys: 60_000, values: 90_000 }

const [QUOTE, BACKSLASH, COLON, COMMA] = [0x22, 0x5c, 0x3a, 0x2c]
const [OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [0x5b, 0x5d, 0x7b, 0x7d]

/** Counts through the bytes of a JSON text once; refuses at the first excess. Whether it is JSON is not asked here. */
export function holdToBudget(bytes: Uint8Array, budget: TextBudget): void {
  let depth = 0
  let keys = 0
  let values = 0
  for (let i = 0; i < bytes.length; i++) {
    switch (bytes[i]) {
      case QUOTE:
        i = endOfText(bytes, i)
        break
      case COLON:
        if (++keys > budget.keys) throw over(`more than ${budget.keys} properties`)
        break
      case COMMA:
        if (++values > budget.values) throw over(`more than ${budget.values} values`)
        break
      case OPEN_LIST:
      case OPEN_OBJECT:
        if (++depth > budget.depth) throw over(`more than ${budget.depth} levels`)
        break
      case CLOSE_LIST:
      case CLOSE_OBJECT:
        depth--
    }
  }
}

function endOfText(bytes: Uint8Array, from: number): number {
  let i = from + 1
  while (i < bytes.length && bytes[i] !== QUOTE) i += bytes[i] === BACKSLASH ? 2 : 1
  return i
}

const over = (what: string) =>
  new Refusal('too-large', `The body has ${what}; that is too many here.`)
