import type { BasinDesign } from './design.ts'
import { type Edit, setTo } from './edit.ts'

/** The throttling valve of every siphon of a tank set to one opening. */
export function setAlike({ drains }: BasinDesign, tankId: string, opening: number): Edit[] {
  const edits: Edit[] = []
  drains.forEach((drain, i) => {
    if (drain.tankId !== tankId || drain.role !== 'siphon') return
    const at = drain.run.pieces.findIndex(
      (piece) => piece.kind === 'valve' && piece.form !== 'diaphragm',
    )
    if (at >= 0) edits.push(setTo(['drains', i, 'run', 'pieces', at, 'opening'], opening))
  })
  return edits
}
