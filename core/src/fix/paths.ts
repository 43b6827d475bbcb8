import type { LineCase } from '../finding/index.ts'
import { flatMap } from '../numeric/index.ts'

/** Where a line's pieces stand in the design. */
export const piecesPath = ({ laid }: LineCase) =>
  ['returnSide', 'lines', laid.index, 'run', 'pieces'] as const

/** An id no piece of the design has: the wanted one, or the same with a number. */
export function freePieceId({ design }: LineCase, wanted: string): string {
  const taken = new Set(
    flatMap(design.returnSide.lines, ({ run }) => run.pieces.map((piece) => piece.id)),
  )
  if (!taken.has(wanted)) return wanted
  let n = 2
  while (taken.has(`${wanted}-${n}`)) n++
  return `${wanted}-${n}`
}
