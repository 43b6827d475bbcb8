import type { CutCase } from '../finding/index.ts'
import { isHose } from '../pipe/index.ts'
import { sentence } from '../quantity/index.ts'
import { moved, type Piece } from '../run/index.ts'
import type { FindingCandidate } from './finding-fix.ts'
import { runOf, tenthsOfMm } from './run-here.ts'

/** So much of the pipe on either side gives way to the hose, so that it bends gently, m (choice). */
const GIVES_M = 0.1
/** What must be left of it takes a hose tail and a fitting, m (choice). */
const LEAST_LEFT_M = 0.08
/** A hose is longer than the way it goes by this share. */
const SLACK = 1.05

/** Two elbows with a stub between are a jog: a length of hose goes round it without either. */
export function hoseAround({ design, route, cut }: CutCase): FindingCandidate[] {
  const { run, setRun } = runOf(design, route.id)
  const at = run.pieces.findIndex(({ id, kind }) => kind === 'pipe' && cut.pieceIds.includes(id))
  const [first, before, stub, after, last] = run.pieces.slice(Math.max(0, at - 2), at + 3)
  if (at < 2 || isHose(run.size.series)) return []
  if (before?.kind !== 'elbow' || after?.kind !== 'elbow') return []
  if (first?.kind !== 'pipe' || stub?.kind !== 'pipe' || last?.kind !== 'pipe') return []
  if (Math.min(first.lengthM, last.lengthM) < GIVES_M + LEAST_LEFT_M) return []
  const from = moved({ xM: 0, yM: 0, zM: 0 }, first.direction, GIVES_M)
  const by = moved(moved(from, stub.direction, stub.lengthM), last.direction, GIVES_M)
  const hose: Piece = {
    id: `${stub.id}-hose`,
    kind: 'free-hose',
    lengthM: tenthsOfMm(SLACK * Math.hypot(by.xM, by.yM, by.zM)),
    byXM: by.xM,
    byYM: by.yM,
    byZM: by.zM,
  }
  const pieces: Piece[] = [
    ...run.pieces.slice(0, at - 2),
    { ...first, lengthM: tenthsOfMm(first.lengthM - GIVES_M) },
    hose,
    { ...last, lengthM: tenthsOfMm(last.lengthM - GIVES_M) },
    ...run.pieces.slice(at + 3),
  ]
  return [
    {
      label: sentence('Take {length} of hose there in place of both elbows', {
        length: ['length', hose.lengthM],
      }),
      brings: () =>
        sentence('A hose tail at either end, with a clamp each; it bends where pipe has no room.'),
      edits: [setRun({ ...run, pieces })],
    },
  ]
}
