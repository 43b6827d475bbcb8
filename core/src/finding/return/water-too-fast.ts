import type { SolvedPiece } from '../../figures/index.ts'
import { isHose } from '../../pipe/index.ts'
import { sentence } from '../../quantity/index.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { FAST_IN_HOSE_M_PER_S, FAST_M_PER_S, FAST_TO_SUMP_M_PER_S } from '../limits.ts'
import { factIf, rule } from '../rule.ts'

/** How fast water may run in one piece of a line. */
function fastestQuiet({ laid }: LineCase, pieceIndex: number): number {
  const placed = laid.placed[pieceIndex]
  if (laid.line.end.at === 'chamber') return FAST_TO_SUMP_M_PER_S
  return placed && isHose(placed.sizeBefore.series) ? FAST_IN_HOSE_M_PER_S : FAST_M_PER_S
}

/** A nozzle is meant to be fast; an adapter is over before it is heard. */
const IN_PASSING: ReadonlySet<SolvedPiece['kind']> = new Set(['nozzle', 'reducer'])

/** The piece in which water is fastest past what is quiet there. */
export interface TooFast {
  readonly piece: SolvedPiece
  readonly at: number
  readonly limitMPerS: number
}

function fastestPast(line: LineCase): TooFast | null {
  let worst: TooFast | null = null
  const { pieces } = line.solved
  for (let at = 0; at < pieces.length; at++) {
    const piece = pieces[at]!
    if (IN_PASSING.has(piece.kind) || (worst && piece.speedMPerS <= worst.piece.speedMPerS))
      continue
    const limitMPerS = fastestQuiet(line, at)
    if (piece.speedMPerS > limitMPerS) worst = { piece, at, limitMPerS }
  }
  return worst && worst.piece.flowM3PerS > 0 ? worst : null
}

/** Speeds over which pipe is loud and worn. */
export const waterTooFast = rule({
  code: 'water-too-fast',
  station: 'return',
  severities: ['watch'],
  holds: 'Water runs faster in a piece than is quiet there.',
  condition: (line: LineCase) => factIf(fastestPast(line)),
  title: (line, { piece }) =>
    sentence('{where}Water runs at {speed} in the {bore} bore', {
      where: lineWords(line),
      speed: ['speed', piece.speedMPerS],
      bore: ['length', piece.boreM],
    }),
  reason: ({ laid }, { limitMPerS }) =>
    sentence(
      laid.line.end.at === 'chamber'
        ? 'Above {limit} even a takeoff in the cabinet is heard, and its losses grow with the square of the speed.'
        : 'Above {limit} a line grows loud, and its losses grow with the square of the speed.',
      { limit: ['speed', limitMPerS] },
    ),
  where: (_, { piece }) => ({ pieceId: piece.pieceId }),
})
