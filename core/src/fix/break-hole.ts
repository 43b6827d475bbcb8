import { type Edit, setTo } from '../design/index.ts'
import { BREAK_HOLE_DEPTH_M } from '../finding/index.ts'
import { sentence } from '../quantity/index.ts'

/** "Drill a break hole 20 mm under the surface". */
export const breakHoleWords = () =>
  sentence('Drill a break hole {deep} under the surface', {
    deep: ['length', BREAK_HOLE_DEPTH_M],
  })

/** A hole that breaks a line's siphon. */
export const breakHoleIn = (lineIndex: number): Edit =>
  setTo(['returnSide', 'lines', lineIndex, 'end', 'breakDepthM'], BREAK_HOLE_DEPTH_M)
