import type { Edit } from './edit.ts'
import type { Drain } from './overflow.ts'

/** Edits of a list of drains that set the throttling valve of every siphon of a tank to one opening. */
export function setAlike(drains: readonly Drain[], tankId: string, opening: number): Edit[] {
  const edits: Edit[] = []
  drains.forEach((drain, i) => {
    if (drain.tankId !== tankId || drain.role !== 'siphon') return
    const at = drain.run.pieces.findIndex(
      (piece) => piece.kind === 'valve' && piece.form !== 'diaphragm',
    )
    if (at >= 0) edits.push({ op: 'set', path: [i, 'run', 'pieces', at, 'opening'], to: opening })
  })
  return edits
}
