import { type BasinDesign, type Edit, setTo } from '../design/index.ts'
import type { Run } from '../run/index.ts'

/** A run of a design, and how it is changed. */
export interface RunHere {
  readonly run: Run
  readonly setLength: (piece: number, lengthM: number) => Edit
  readonly setRun: (to: Run) => Edit
}

/** Lengths as they are kept: to a tenth of a millimetre. */
export const tenthsOfMm = (m: number) => Math.round(m * 1e4) / 1e4

/** A line's or a drain's run. */
export function runOf(design: BasinDesign, id: string): RunHere {
  const line = design.returnSide.lines.findIndex((other) => other.id === id)
  if (line >= 0) {
    const at = ['returnSide', 'lines', line, 'run'] as const
    return {
      run: design.returnSide.lines[line]!.run,
      setLength: (piece, m) => setTo([...at, 'pieces', piece, 'lengthM'], tenthsOfMm(m)),
      setRun: (to) => setTo(at, to),
    }
  }
  const drain = design.drains.findIndex((other) => other.id === id)
  const at = ['drains', drain, 'run'] as const
  return {
    run: design.drains[drain]!.run,
    setLength: (piece, m) => setTo([...at, 'pieces', piece, 'lengthM'], tenthsOfMm(m)),
    setRun: (to) => setTo(at, to),
  }
}
