import type { ListLine } from './line.ts'

/** What a line costs at its price: apiece, a length, a metre; glue in all. null: the price is a gap. */
export function costOf(
  { unit }: Pick<ListLine, 'unit'>,
  toBuy: number,
  price: number | null,
): number | null {
  if (toBuy <= 0) return 0
  if (price === null) return null
  return unit === 'glue' ? price : toBuy * price
}

/** What a list costs, and how many of its lines have no price yet. */
export interface ListCost {
  readonly known: number
  readonly gaps: number
}

/** Costs added up; a gap is said, it is no zero. */
export function addedUp(costs: readonly (number | null)[]): ListCost {
  return {
    known: costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0),
    gaps: costs.filter((cost) => cost === null).length,
  }
}
