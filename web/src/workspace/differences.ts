import type { BasinDesign } from '@yew-basin/core'
import same from 'fast-deep-equal'

/** A place where two designs differ, in words. */
export interface Difference {
  readonly where: string
}

/** "waterLevelM" → "water level". */
export function fieldWords(name: string): string {
  return name
    .replace(/(M3PerS|MPerS|KgPerM3|PerH|Kg|Ppt|M|C|Deg)$/, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
}

/** Whether two designs say the same, in whatever order their parts were written down. */
export function sameDesign(mine: BasinDesign, theirs: BasinDesign): boolean {
  return same(mine, theirs)
}

/** Where two designs differ: leaf by leaf; lists of things with ids thing by thing, others as a whole. */
export function differences(mine: BasinDesign, theirs: BasinDesign): Difference[] {
  return walk(mine, theirs, [])
}

function walk(mine: unknown, theirs: unknown, path: readonly string[]): Difference[] {
  if (same(mine, theirs)) return []
  const pairs = sameThings(mine, theirs)
  if (pairs) return pairs.flatMap(([name, a, b]) => walk(a, b, [...path, name]))
  if (!isRecord(mine) || !isRecord(theirs)) return [{ where: path.join(', ') }]
  const names = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])]
  return names.flatMap((name) => walk(mine[name], theirs[name], [...path, fieldWords(name)]))
}

/** Two lists of the same named things in the same order, as [name, mine, theirs]; else null. */
function sameThings(mine: unknown, theirs: unknown): [string, unknown, unknown][] | null {
  if (!Array.isArray(mine) || !Array.isArray(theirs) || mine.length !== theirs.length) return null
  const pairs = mine.map((item: unknown, i) => [item, theirs[i] as unknown] as const)
  const named = pairs.every(
    ([a, b]) => isRecord(a) && isRecord(b) && 'id' in a && a.id === b.id && 'name' in a,
  )
  return named ? pairs.map(([a, b]) => [String((a as { name: unknown }).name), a, b]) : null
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
