import type { BasinDesign } from './design.ts'

/** Property names and list places from the design's root. */
export type EditPath = readonly (string | number)[]

/** What a property of a type holds; never where it has no such property. */
type Step<Type, Key> = Type extends readonly (infer Item)[]
  ? Key extends number
    ? Item
    : never
  : Key extends keyof Type
    ? Type[Key]
    : never

/** What a design holds at a path; never where the path leads nowhere. */
export type At<Path extends EditPath, Type = BasinDesign> = Path extends readonly [
  infer Key,
  ...infer Rest extends EditPath,
]
  ? At<Rest, Step<NonNullable<Type>, Key>>
  : Type

/** What a list holds. */
type ItemOf<List> = List extends readonly (infer Item)[] ? Item : never

/** One change of a design as it is stored and sent. */
export type EditData =
  | { readonly op: 'set'; readonly path: EditPath; readonly to: unknown }
  | { readonly op: 'insert'; readonly path: EditPath; readonly at: number; readonly item: unknown }

declare const checked: unique symbol
/**
 * One change of a design, as data: what a fix is made of, and what can be previewed and undone. Only
 * `setTo` and `insertAt` make one, which hold it against the design's type.
 */
export type Edit = EditData & { readonly [checked]: true }

/** A value put at a path; the path and the value are checked against the design's type. */
export function setTo<const Path extends EditPath>(path: Path, to: At<Path>): Edit {
  return { op: 'set', path, to } as EditData as Edit
}

/** An item put into a list at a place of it. */
export function insertAt<const Path extends EditPath>(
  path: Path,
  at: number,
  item: ItemOf<At<Path>>,
): Edit {
  return { op: 'insert', path, at, item } as EditData as Edit
}

/** A new design with the edits made; the old one is untouched. */
export function applyEdits(design: BasinDesign, edits: readonly Edit[]): BasinDesign {
  return edits.reduce((before, edit) => changedAt(before, edit.path, edit) as BasinDesign, design)
}

/** What a design may leave out where it is as usual; an edit may name it all the same. */
const MAY_BE_LEFT_OUT = new Set<PropertyKey>(['made', 'joint', 'partId', 'isThreaded', 'hasWiper'])

const has = (value: object, key: PropertyKey) => key in value || MAY_BE_LEFT_OUT.has(key)

function changedAt(value: unknown, path: EditPath, edit: Edit): unknown {
  const [key, ...rest] = path
  if (key === undefined) return edit.op === 'set' ? edit.to : inserted(value, edit.at, edit.item)
  if (Array.isArray(value)) {
    return value.map((item: unknown, i) => (i === key ? changedAt(item, rest, edit) : item))
  }
  if (typeof value !== 'object' || value === null || !has(value, key)) {
    throw new RangeError(`an edit names ${String(key)}, which the design does not have`)
  }
  const held = value as Readonly<Record<string, unknown>>
  return { ...held, [key]: changedAt(held[key], rest, edit) }
}

function inserted(list: unknown, at: number, item: unknown): unknown {
  if (!Array.isArray(list)) throw new RangeError('an edit inserts into something that is no list')
  return [...(list as unknown[]).slice(0, at), item, ...(list as unknown[]).slice(at)]
}
