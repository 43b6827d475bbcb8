import { type BasinDesign, type Edit, setTo } from '../../design/index.ts'
import type { Piece } from '../../run/index.ts'
import { ends } from './new-line.ts'

/** A line and every line that hangs on it. */
export function hangingOn(design: BasinDesign, lineId: string): Set<string> {
  const { lines } = design.returnSide
  const found = new Set([lineId])
  for (let before = 0; before !== found.size;) {
    before = found.size
    const tees = new Set(
      lines
        .filter(({ id }) => found.has(id))
        .flatMap(({ run }) => run.pieces.map((piece) => piece.id)),
    )
    for (const { id, start } of lines) if (start.at === 'tee' && tees.has(start.id)) found.add(id)
  }
  return found
}

/** Takes a line out with all that hangs on it, the tees it met and the pump only it had. One step. */
export function withoutLine(design: BasinDesign, lineId: string): Edit[] {
  const { lines, pumps } = design.returnSide
  const gone = hangingOn(design, lineId)
  const left = lines.filter(({ id }) => !gone.has(id))
  const met = new Set(
    lines
      .filter(({ id }) => gone.has(id))
      .flatMap(({ start, end }) => [start, end])
      .flatMap(({ at, id }) => (at === 'tee' && id !== null ? [id] : [])),
  )
  // A line that ran into one that is gone now ends in a cap.
  const teesLeft = new Set(left.flatMap(({ run }) => run.pieces.map((piece) => piece.id)))
  const kept = left.map((line) => ({
    ...line,
    run: { ...line.run, pieces: withoutTees(line.run.pieces, met) },
    end: line.end.at === 'tee' && !teesLeft.has(line.end.id ?? '') ? ends('cap', null) : line.end,
  }))
  const used = new Set(kept.flatMap(({ start }) => (start.at === 'pump' ? [start.id] : [])))
  return [
    setTo(['returnSide', 'lines'], kept),
    setTo(
      ['returnSide', 'pumps'],
      pumps.filter(({ id }) => used.has(id)),
    ),
  ]
}

/** Pieces without some tees; the pipe that one of them stood in is whole again. */
function withoutTees(pieces: readonly Piece[], met: ReadonlySet<string>): Piece[] {
  const kept: Piece[] = []
  for (const [i, piece] of pieces.entries()) {
    if (met.has(piece.id)) continue
    const before = kept.at(-1)
    const wasTee = met.has(pieces[i - 1]?.id ?? '')
    const isOne =
      wasTee &&
      piece.kind === 'pipe' &&
      before?.kind === 'pipe' &&
      before.direction === piece.direction
    if (isOne)
      kept[kept.length - 1] = { ...before, lengthM: micrometres(before.lengthM + piece.lengthM) }
    else kept.push(piece)
  }
  return kept
}

/** What sums of lengths are rounded to. */
const micrometres = (m: number) => Math.round(m * 1e6) / 1e6

/** Lines in the order a tree is read, with how deep each hangs. */
export function asTree(design: BasinDesign): { index: number; depth: number }[] {
  const { lines } = design.returnSide
  const found: { index: number; depth: number }[] = []
  const visit = (index: number, depth: number) => {
    found.push({ index, depth })
    for (const piece of lines[index]!.run.pieces) {
      const branch = lines.findIndex(({ start }) => start.at === 'tee' && start.id === piece.id)
      if (branch >= 0) visit(branch, depth + 1)
    }
  }
  lines.forEach((line, index) => {
    if (line.start.at === 'pump') visit(index, 0)
  })
  return found
}
