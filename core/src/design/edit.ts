/** One change of a design, as data: what a fix is made of, and what can be previewed and undone. */
export type Edit =
  | { readonly op: 'set'; readonly path: EditPath; readonly to: unknown }
  | { readonly op: 'insert'; readonly path: EditPath; readonly at: number; readonly item: unknown }

/** Property names and list places from the design's root. */
export type EditPath = readonly (string | number)[]

/** A new document with the edits made; the old one is untouched. */
export function applyEdits<T>(document: T, edits: readonly Edit[]): T {
  return edits.reduce<T>((before, edit) => changedAt(before, edit.path, edit) as T, document)
}

function changedAt(value: unknown, path: EditPath, edit: Edit): unknown {
  const [key, ...rest] = path
  if (key === undefined) return edit.op === 'set' ? edit.to : inserted(value, edit.at, edit.item)
  if (Array.isArray(value)) {
    return value.map((item: unknown, i) => (i === key ? changedAt(item, rest, edit) : item))
  }
  if (typeof value !== 'object' || value === null || !(key in value)) {
    throw new RangeError(`an edit names ${String(key)}, which the design does not have`)
  }
  const held = value as Readonly<Record<string, unknown>>
  return { ...held, [key]: changedAt(held[key], rest, edit) }
}

function inserted(list: unknown, at: number, item: unknown): unknown {
  if (!Array.isArray(list)) throw new RangeError('an edit inserts into something that is no list')
  return [...(list as unknown[]).slice(0, at), item, ...(list as unknown[]).slice(at)]
}
