import { roomFor, type TakeOffKind } from '../../fitting/index.ts'
import { isHose, type PipeSize } from '../../pipe/index.ts'
import { toMillimetre } from '../../quantity/index.ts'
import { moved, type Piece, type PieceOf, type Point, type Run } from '../../run/index.ts'

/** A run with a tee in it, and where in the room that stands. */
export interface Teed {
  readonly run: Run
  readonly at: Point
}

/** What stands beside a tee, for the room between them. */
const AS: Readonly<Record<Piece['kind'], TakeOffKind>> = {
  pipe: 'coupling',
  'free-hose': 'coupling',
  elbow: 'elbow-90',
  tee: 'tee',
  union: 'union',
  valve: 'valve',
  'check-valve': 'valve',
  reducer: 'coupling',
  bulkhead: 'bulkhead',
  nozzle: 'adapter',
  device: 'device',
}

/**
 * A tee after a piece of a run (−1: before its first), so far from the fitting there that both can be glued: it moves
 * into the pipe after it, else back into the one before; where neither has room it stands as asked.
 */
export function placeTee(
  run: Run,
  { after, at, size, tee }: { after: number; at: Point; size: PipeSize; tee: Piece },
): Teed {
  const { pieces } = run
  const [before, next] = [pieces[after], pieces[after + 1]]
  const plain = {
    run: { ...run, pieces: [...pieces.slice(0, after + 1), tee, ...pieces.slice(after + 1)] },
    at,
  }
  if (isHose(size.series)) return plain
  const room = (beside: Piece | undefined) =>
    roomFor([beside ? AS[beside.kind] : 'adapter', 'tee'], size)
  if (next?.kind === 'pipe') {
    if (before?.kind === 'pipe') return plain
    const needM = room(before)
    if (next.lengthM >= needM + room(pieces[after + 2]))
      return split(run, { index: after + 1, firstM: needM, from: at, tee })
    return plain
  }
  if (before?.kind !== 'pipe') return plain
  const firstM = toMillimetre(before.lengthM - room(next))
  if (firstM < room(pieces[after - 1])) return plain
  const from = moved(at, before.direction, -before.lengthM)
  return split(run, { index: after, firstM, from, tee })
}

/** A pipe of a run as two, with a tee between them. */
export function split(
  run: Run,
  {
    index,
    firstM,
    from,
    tee,
  }: { readonly index: number; readonly firstM: number; readonly from: Point; readonly tee: Piece },
): Teed {
  const pipe = run.pieces[index] as PieceOf<'pipe'>
  const pieces: Piece[] = [
    ...run.pieces.slice(0, index),
    { ...pipe, lengthM: firstM },
    tee,
    { ...pipe, id: `${tee.id}-on`, lengthM: pipe.lengthM - firstM },
    ...run.pieces.slice(index + 1),
  ]
  return { run: { ...run, pieces }, at: moved(from, pipe.direction, firstM) }
}
