import { applyEdits, type BasinDesign, type Edit, setTo } from '../design/index.ts'
import { askables, type Askable } from './askable.ts'

/** given: what the keeper typed, took or confirmed. laid: what a builder chose for him, to be confirmed. */
export type EditedBy = 'given' | 'laid'

/**
 * Edits, and what becomes of the assumed figures with them: what a keeper changed is given, what a
 * builder put there or changed is assumed, what is gone is no longer marked.
 */
export function withMarks(now: BasinDesign, edits: readonly Edit[], by: EditedBy): readonly Edit[] {
  const before = new Map(askables(now).map((asked) => [asked.name, asked]))
  const marked = new Set(now.assumed)
  const isAssumed = (asked: Askable) => {
    const was = before.get(asked.name)
    const isSame = was !== undefined && sameFigure(was.value, asked.value)
    return isSame ? marked.has(asked.name) : by === 'laid'
  }
  const left = askables(applyEdits(now, edits))
    .filter(isAssumed)
    .map(({ name }) => name)
  const isKept = left.length === marked.size && left.every((name) => marked.has(name))
  return isKept ? edits : [...edits, setTo(['assumed'], left)]
}

/** Is a figure as it was? Pipe sizes are small objects; all else is a number or a name. */
export const sameFigure = (a: unknown, b: unknown) =>
  a === b || JSON.stringify(a) === JSON.stringify(b)

/** Figures that were assumed are given as they stand. */
export function confirmed(now: BasinDesign, names: readonly string[]): Edit[] {
  return [
    setTo(
      ['assumed'],
      now.assumed.filter((name) => !names.includes(name)),
    ),
  ]
}

/** Nothing of a design was said by its keeper. */
export function allAssumed(design: BasinDesign): BasinDesign {
  return { ...design, assumed: askables(design).map(({ name }) => name) }
}
