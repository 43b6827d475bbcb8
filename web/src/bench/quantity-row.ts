import type { Limit } from '@yew-basin/contract/limits'

/** The names of a thing's figures. */
export type QuantityOf<T> = { [K in keyof T]-?: T[K] extends number | null ? K : never }[keyof T] &
  string

/** One figure of a thing in its bench: where it is kept, what it is called, what it may be. */
export type QuantityRow<T> = readonly [key: QuantityOf<T>, label: string, limit: Limit]

/** Rows of one thing, checked against it. */
export function rowsOf<T>(...rows: readonly QuantityRow<T>[]): readonly QuantityRow<T>[] {
  return rows
}
