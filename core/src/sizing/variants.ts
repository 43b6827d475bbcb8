import {
  applyEdits,
  type BasinDesign,
  type Edit,
  insertAt,
  type ReturnLine,
  setTo,
} from '../design/index.ts'
import { settingValve, type SettingValve, valvePath } from '../editing/index.ts'
import { type Layout, pathTo } from '../layout/index.ts'
import { steadyState } from '../loop/index.ts'
import { type PipeSize, SERIES_SIZES } from '../pipe/index.ts'
import type { Piece } from '../run/index.ts'

/** Plumbing that is tried: the same room, another size, one or two nozzles, a valve so far open. */
export interface Variant {
  readonly size: PipeSize
  readonly nozzles: 1 | 2
  readonly opening: number
  readonly edits: readonly Edit[]
  readonly layout: Layout
}

/** Openings of the lead line's valve that are tried (choice); 1 alone where it has none. */
const OPENINGS = [1, 0.85, 0.75, 0.66, 0.58, 0.51, 0.45, 0.4, 0.35]

/** Lines to tanks that a placed pump feeds. */
export function tankLines(design: BasinDesign, pumpIndex: number): number[] {
  const layout = steadyState(design).layout
  const { id } = design.returnSide.pumps[pumpIndex]!
  return design.returnSide.lines.flatMap((line, i) => {
    const root = layout.lines[pathTo(layout, i)[0]!.lineIndex]!.line
    return line.end.at === 'tank' && root.start.id === id ? [i] : []
  })
}

/** Every plumbing that is tried for a design. */
export function variants(design: BasinDesign, pumpIndex: number, newId: () => string): Variant[] {
  const lines = tankLines(design, pumpIndex)
  const lead = lines[0]
  if (lead === undefined) return []
  const { series } = design.returnSide.lines[lead]!.run.size
  const split = lines.length === 1 ? secondNozzle(design, lead, newId) : null
  return SERIES_SIZES[series].flatMap((row) => {
    const size: PipeSize = { series, size: row.size, boreM: null }
    return ([1, 2] as const).flatMap((nozzles) => {
      if (nozzles === 2 && !split) return []
      const before = nozzles === 2 ? split! : []
      const wide = sized(applyEdits(design, before), lines, size)
      const edits = [...before, ...wide]
      const valve = settingValve(steadyState(applyEdits(design, edits)).layout, lead)
      return withOpenings(design, { size, nozzles, edits, valve })
    })
  })
}

function withOpenings(
  design: BasinDesign,
  made: {
    size: PipeSize
    nozzles: 1 | 2
    edits: readonly Edit[]
    valve: SettingValve | null
  },
): Variant[] {
  const { size, nozzles, valve } = made
  return (valve ? OPENINGS : [1]).map((opening) => {
    const turned: Edit[] = valve ? [setTo(valvePath(valve.lineIndex, valve.piece), opening)] : []
    const edits = [...made.edits, ...turned]
    return { size, nozzles, opening, edits, layout: steadyState(applyEdits(design, edits)).layout }
  })
}

/** The lines to the tank in another size; a line that changes size on its way begins in it. */
function sized(design: BasinDesign, lines: readonly number[], size: PipeSize): Edit[] {
  const { lines: all } = design.returnSide
  // A second nozzle that was just teed off goes along.
  const added = all.length > 0 && lines.length === 1 ? teedFrom(all, lines[0]!) : []
  return [...lines, ...added].map((line) =>
    setTo(['returnSide', 'lines', line, 'run', 'size'], size),
  )
}

function teedFrom(lines: readonly ReturnLine[], from: number): number[] {
  const tees = new Set(lines[from]!.run.pieces.map((piece) => piece.id))
  return lines.flatMap(({ start, end }, i) =>
    start.at === 'tee' && tees.has(start.id) && end.at === 'tank' ? [i] : [],
  )
}

/** How far beyond the first nozzle the second stands, m; nearer where the tank ends. */
const APART_M = [0.3, 0.2, 0.1]

/**
 * The last elbow of a line made a tee, with another nozzle straight on; null where there is no
 * elbow or no room over the tank.
 */
export function secondNozzle(
  design: BasinDesign,
  lineIndex: number,
  newId: () => string,
): Edit[] | null {
  const { lines } = design.returnSide
  const line = lines[lineIndex]!
  const { pieces } = line.run
  const at = pieces.findLastIndex((piece) => piece.kind === 'elbow' && piece.form !== 'standard-45')
  const before = pieces.slice(0, Math.max(0, at)).findLast((piece) => piece.kind === 'pipe')
  if (at < 0 || before?.kind !== 'pipe' || before.direction === 'up') return null
  const tee: Piece = { id: newId(), kind: 'tee', form: 'straight' }
  for (const lengthM of APART_M) {
    const tail = pieces.slice(at).map((piece) => ({ ...piece, id: newId() }))
    const on: Piece = { id: newId(), kind: 'pipe', direction: before.direction, lengthM }
    const branch: ReturnLine = {
      ...line,
      id: newId(),
      name: 'Second nozzle',
      start: { at: 'tee', id: tee.id },
      run: { ...line.run, pieces: [on, ...tail] },
      end: { ...line.end, place: null },
      wantedFlowM3PerS: null,
    }
    const edits: Edit[] = [
      setTo(['returnSide', 'lines', lineIndex, 'run', 'pieces', at], tee),
      insertAt(['returnSide', 'lines'], lines.length, branch),
    ]
    const laid = steadyState(applyEdits(design, edits)).layout.lines.at(-1)!
    if (laid.end !== 'outside-tank') return edits
  }
  return null
}
