import { type BasinDesign, type Edit, setTo } from '../../design/index.ts'
import type { Point, Run } from '../../run/index.ts'
import { type Stretched, stretchedBy } from '../stretch.ts'

const AXES = ['xM', 'yM', 'zM'] as const
const STILL: Point = { xM: 0, yM: 0, zM: 0 }

/** What gives of a run whose end moves: along each way its last pipe, or a free hose; nothing where none can. */
function given({ pieces }: Run, by: Point): Stretched[] {
  return AXES.flatMap((axis) => stretchedBy(pieces, { ...STILL, [axis]: by[axis] }) ?? [])
}

/**
 * The mouth of a line moved by so much: along each way its last pipe gives, or a free hose. A way along
 * which nothing can give stays.
 */
export function moveMouth({ returnSide }: BasinDesign, lineIndex: number, by: Point): Edit[] {
  return given(returnSide.lines[lineIndex]!.run, by).map(({ piece, key, toM }) =>
    setTo(['returnSide', 'lines', lineIndex, 'run', 'pieces', piece, key], toM),
  )
}

/** The end of a drain moved by so much, in the same way. */
export function moveDrainEnd({ drains }: BasinDesign, index: number, by: Point): Edit[] {
  return given(drains[index]!.run, by).map(({ piece, key, toM }) =>
    setTo(['drains', index, 'run', 'pieces', piece, key], toM),
  )
}
