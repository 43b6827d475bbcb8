import { applyEdits, type BasinDesign, type Edit, setTo } from '../../design/index.ts'
import { figuresOf } from '../../figures/index.ts'
import { steadyState } from '../../loop/index.ts'

/** The setting is halved between so often: to a thousandth of its stroke. */
const HALVINGS = 10

/** A valve in a line, by their places. */
export interface ValveAt {
  readonly line: number
  readonly piece: number
}

/** How a valve is set for a flow. */
export interface ValveForFlow extends ValveAt {
  readonly opening: number
  /** What its line then brings, m³/s: less than is wished where even the open valve gives less. */
  readonly flowM3PerS: number
  readonly edits: readonly Edit[]
}

/** A line's own valve that can stand between open and shut, the last before its end; null: it has none. */
export function ownValve({ returnSide }: BasinDesign, line: number): ValveAt | null {
  const piece = returnSide.lines[line]!.run.pieces.findLastIndex(
    (each) => each.kind === 'valve' && each.form !== 'diaphragm',
  )
  return piece < 0 ? null : { line, piece }
}

/** How far a valve is opened so that its line brings a flow, to a hundredth; wide open where even that gives less. Solves a dozen times. */
export function valveForFlow(
  design: BasinDesign,
  { line, piece }: ValveAt,
  wantedM3PerS: number,
): ValveForFlow {
  const edits = (opening: number): Edit[] => [
    setTo(['returnSide', 'lines', line, 'run', 'pieces', piece, 'opening'], opening),
  ]
  const flowAt = (opening: number) =>
    figuresOf(steadyState(applyEdits(design, edits(opening)))).returnSide.lines[line]!.flowM3PerS
  const set = (opening: number): ValveForFlow => ({
    line,
    piece,
    opening,
    flowM3PerS: flowAt(opening),
    edits: edits(opening),
  })
  if (flowAt(1) <= wantedM3PerS) return set(1)
  let [low, high] = [0, 1]
  for (let n = 0; n < HALVINGS; n++) {
    const middle = (low + high) / 2
    if (flowAt(middle) < wantedM3PerS) low = middle
    else high = middle
  }
  return set(Math.round(((low + high) / 2) * 100) / 100)
}
