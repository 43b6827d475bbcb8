import type { PipeSize } from '../../pipe/index.ts'

/** How a shop is laid out; adapters first, since they are the ones it may not have. */
export const SHOP_GROUPS = [
  'adapters',
  'pipe',
  'fittings',
  'valves',
  'bulkheads',
  'devices',
  'glue',
  'panels',
] as const

/** A part of a shop. */
export type ShopGroup = (typeof SHOP_GROUPS)[number]

/** What a line of the list counts in. */
export type ListUnit = 'piece' | 'metre' | 'stock' | 'glue'

/** Whether a thing may stand in salt water: yes, or what to look for. */
export type SaltSafe = 'yes' | 'ask'

/** One line of the list. */
export interface ListLine {
  /** Stays the same as long as the thing does: what is had, its price and its tick hang on it. */
  readonly key: string
  readonly group: ShopGroup
  readonly name: string
  /** As it is asked for; empty: it has no size. */
  readonly size: string
  readonly unit: ListUnit
  /** Wanted by the drawing; pieces, m, stocks, or m³ of glue. */
  readonly count: number
  /** Bought on top, in the same unit. */
  readonly spare: number
  /** Of pipe: metres to cut in all, and what the stocks are long; null: not pipe. */
  readonly pipe: { readonly totalM: number; readonly stockM: number | null } | null
  /** Of a panel: width, height and thickness, m; null: no panel. */
  readonly panelM: readonly [number, number, number] | null
  /** For what, in words, and what lights up in the drawing. */
  readonly uses: readonly string[]
  readonly pieceIds: readonly string[]
  /** Of the library or the keeper's own; null: none in particular. */
  readonly partId: string | null
  readonly saltSafe: SaltSafe
  /** Why one should look twice; null: no need. */
  readonly note: string | null
}

/** A size as a part of a key. */
export function sizeKey({ series, size }: PipeSize): string {
  return `${series} ${size}`
}
