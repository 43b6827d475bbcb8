import { type BasinDesign, type Edit, setTo } from '../../design/index.ts'
import type { Point } from '../../run/index.ts'
import { stretchedBy } from '../stretch.ts'

const AXES = ['xM', 'yM', 'zM'] as const
const STILL: Point = { xM: 0, yM: 0, zM: 0 }

/**
 * The mouth of a line moved by so much: along each way its last pipe gives, or a free hose. A way along
 * which nothing can give stays.
 */
export function moveMouth({ returnSide }: BasinDesign, lineIndex: number, by: Point): Edit[] {
  const { pieces } = returnSide.lines[lineIndex]!.run
  return AXES.flatMap((axis) => stretchedBy(pieces, { ...STILL, [axis]: by[axis] }) ?? []).map(
    ({ piece, key, toM }) =>
      setTo(['returnSide', 'lines', lineIndex, 'run', 'pieces', piece, key], toM),
  )
}
