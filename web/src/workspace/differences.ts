import type { BasinDesign } from '@yew-basin/core'

/** A place where two designs differ, in words. */
export interface Difference {
  readonly where: string
  readonly path: readonly string[]
}

/** "waterLevelM" → "water level". */
export function words(name: string): string {
  return name
    .replace(/(M3PerS|MPerS|KgPerM3|PerH|Kg|Ppt|M|C|Deg)$/, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
}

/** Where two designs differ: leaf by leaf, lists as a whole. */
export function differences(mine: BasinDesign, theirs: BasinDesign): Difference[] {
  return walk(mine, theirs, [])
}

function walk(mine: unknown, theirs: unknown, path: readonly string[]): Difference[] {
  if (JSON.stringify(mine) === JSON.stringify(theirs)) return []
  if (!isRecord(mine) || !isRecord(theirs)) return [{ where: path.map(words).join(', '), path }]
  const names = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])]
  return names.flatMap((name) => walk(mine[name], theirs[name], [...path, name]))
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
