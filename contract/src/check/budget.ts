import type { Fault } from './fault.ts'

/** How much a body may be, whatever it says: asked before anything else looks at it. */
export interface Budget {
  readonly depth: number
  /** Keys of all its objects together. */
  readonly keys: number
  /** Keys of one object. */
  readonly keysOfOne: number
  /** Entries of all its lists together. */
  readonly entries: number
}

/** The largest basin of ours has a tenth of it; no object of ours has more than forty properties. */
export const BODY_BUDGET: Budget = { depth: 24, keys: 120_000, keysOfOne: 64, entries: 30_000 }

/** What goes over the budget first, or null. One walk without recursion, ended by the first excess. */
export function budgetFault(plain: unknown, budget: Budget = BODY_BUDGET): Fault | null {
  let keys = 0
  let entries = 0
  let level: object[] = isObject(plain) ? [plain] : []
  for (let depth = 1; level.length > 0; depth++) {
    if (depth > budget.depth) return over(`is nested deeper than ${budget.depth}`)
    const next: object[] = []
    for (const holder of level) {
      const inner: unknown[] = Array.isArray(holder) ? holder : Object.values(holder)
      if (Array.isArray(holder)) {
        entries += inner.length
        if (entries > budget.entries) return over(`has more than ${budget.entries} list entries`)
      } else {
        keys += inner.length
        if (inner.length > budget.keysOfOne)
          return over(`has an object of more than ${budget.keysOfOne} properties`)
        if (keys > budget.keys) return over(`has more than ${budget.keys} properties`)
      }
      for (const value of inner) if (isObject(value)) next.push(value)
    }
    level = next
  }
  return null
}

const over = (message: string): Fault => ({ path: '', message })

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null
