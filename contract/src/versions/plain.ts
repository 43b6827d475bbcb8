/** A stored object of any format, before it is checked. */
export type Plain = Readonly<Record<string, unknown>>

/** Is it an object, whose keys may be asked? */
export const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null

/** A value as an object whose keys may be asked; empty where it is none. */
export function asPlain(value: unknown): Plain {
  return isPlain(value) ? value : {}
}

/** A list with each of its objects changed; what is no list or no object stays as it is, for the checks to name. */
export function eachOf(list: unknown, change: (entry: Plain) => unknown): unknown {
  if (!Array.isArray(list)) return list
  return list.map((entry: unknown) => (isPlain(entry) ? change(entry) : entry))
}
