import { sentence } from '../quantity/index.ts'
import type { Piece } from '../run/index.ts'
import { aboutLine, type Finding, type LineCase, piecesPath } from './finding.ts'
import { freeId } from './line.ts'

/** Is there what keeps the floor dry and a spare takeoff shut? */
export function guardFindings(line: LineCase): Finding[] {
  return [...onlyCheckValve(line), ...spareWithoutValve(line)]
}

/** An end under water, held back by a check valve and nothing else. */
function onlyCheckValve(line: LineCase): Finding[] {
  const { laid } = line
  const check = laid.line.run.pieces.find((piece) => piece.kind === 'check-valve')
  const { end } = laid.line
  if (!check || laid.end !== 'under-water' || end.at !== 'tank' || end.breakDepthM !== null) {
    return []
  }
  return [
    aboutLine(line, {
      code: 'check-valve-only-guard',
      severity: 'watch',
      title: sentence('A check valve is all that keeps this tank from running back'),
      reason: sentence(
        'Its flap fouls with growth and stays open. Count on it for nothing: end the line above the water, or drill a break hole just under the surface and keep it clean.',
      ),
      pieceId: check.id,
      fixes: () => [breakHole(line)],
    }),
  ]
}

/** How far under the surface a break hole is drilled (choice). */
const BREAK_DEPTH_M = 0.015

export function breakHole(line: LineCase) {
  return {
    label: sentence('Drill a break hole {deep} under the surface', {
      deep: ['length', BREAK_DEPTH_M],
    }),
    brings: sentence('The siphon breaks when the level has fallen to it, as long as it is clean.'),
    edits: [
      {
        op: 'set' as const,
        path: ['returnSide', 'lines', line.laid.index, 'end', 'breakDepthM'],
        to: BREAK_DEPTH_M,
      },
    ],
  }
}

function spareWithoutValve(line: LineCase): Finding[] {
  const { laid } = line
  if (laid.line.end.at !== 'cap') return []
  if (laid.line.run.pieces.some((piece) => piece.kind === 'valve')) return []
  const valve: Piece = {
    id: freeId(line, `${laid.line.id}-valve`),
    kind: 'valve',
    form: 'ball',
    opening: 0,
    kvM3PerH: null,
  }
  return [
    aboutLine(line, {
      code: 'spare-without-valve',
      severity: 'watch',
      title: sentence(`${laid.line.name} is a spare without a valve`),
      reason: sentence(
        'To put it to use one day, the whole return must be stopped and drained. A valve in front of the cap lets you build on while it runs.',
      ),
      pieceId: laid.line.run.pieces[0]?.id ?? null,
      fixes: () => [
        {
          label: sentence('Put a ball valve in'),
          brings: sentence('Lets you build on without stopping the return.'),
          edits: [{ op: 'insert', path: piecesPath(line), at: 0, item: valve }],
        },
      ],
    }),
  ]
}
