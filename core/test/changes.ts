import type { BasinDesign } from '../src/design/design.ts'
import { applyEdits, type Edit, type EditData } from '../src/design/edit.ts'

/** Changes by dotted path: { 'returnSide.pumps.0.speed': 0.5 }. */
export type Changes = Readonly<Record<string, unknown>>

/** A design changed at dotted paths; a test may put anything anywhere, so nothing is checked. */
export function withChanges(design: BasinDesign, changes: Changes): BasinDesign {
  const edits = Object.entries(changes).map(([path, to]): EditData => ({
    op: 'set',
    path: path.split('.').map((key) => (/^\d+$/.test(key) ? Number(key) : key)),
    to,
  }))
  return applyEdits(design, edits as Edit[])
}
