import type { Edit } from '../design/index.ts'
import type { SolvedPiece } from '../figures/index.ts'
import { gather, kept } from '../numeric/index.ts'
import { boreOf, isHose, nextSizeUp, type PipeSize, sizeWords, speedMPerS } from '../pipe/index.ts'
import { sentence } from '../quantity/index.ts'
import { axisOf, type ElbowPiece, type PipePiece, type PlacedPiece, signOf } from '../run/index.ts'
import { aboutLine, type Finding, type LineCase, lineWords, piecesPath } from './finding.ts'
import { fastestQuiet } from './limits.ts'
import { fixForFlow, type Of } from './try-out.ts'

export function lineFindings(line: LineCase): Finding[] {
  return [
    ...tooFast(line),
    ...turnsWithoutElbow(line),
    ...hosesTooShort(line),
    ...afterNozzle(line),
  ]
}

export const ofLine = ({ laid }: LineCase): Of => ({ lineId: laid.line.id })

function tooFast(line: LineCase): Finding[] {
  const { laid, solved } = line
  let worst: { piece: SolvedPiece; at: number; limit: number } | null = null
  for (const [at, piece] of solved.pieces.entries()) {
    if (piece.kind === 'nozzle' || (worst && piece.speedMPerS <= worst.piece.speedMPerS)) continue
    const limit = fastestQuiet(line, at)
    if (piece.speedMPerS > limit) worst = { piece, at, limit }
  }
  if (!worst || worst.piece.flowM3PerS <= 0) return []
  const edits = widen(line, worst.at, worst.limit)
  return [
    aboutLine(line, {
      code: 'water-too-fast',
      severity: 'watch',
      title: sentence(`${lineWords(line)}Water runs at {speed} in the {bore} bore`, {
        speed: ['speed', worst.piece.speedMPerS],
        bore: ['length', worst.piece.boreM],
      }),
      reason: sentence(
        laid.line.end.at === 'chamber'
          ? 'Above {limit} even a takeoff in the cabinet is heard, and its losses grow with the square of the speed.'
          : 'Above {limit} a line grows loud, and its losses grow with the square of the speed.',
        { limit: ['speed', worst.limit] },
      ),
      pieceId: worst.piece.pieceId,
      fixes: () =>
        edits
          ? [
              fixForFlow(
                line.solving.steady,
                sentence(`Make it ${sizeWords(edits.size)}`),
                edits.edits,
                ofLine(line),
              ),
            ]
          : [],
    }),
  ]
}

/** The least wider size of the fast stretch that slows the present flow to the limit. */
function widen(
  line: LineCase,
  at: number,
  limitMPerS: number,
): { size: PipeSize; edits: Edit[] } | null {
  const { laid, solved } = line
  const { piece, sizeBefore, sizeAfter, boreBeforeM, boreAfterM } = laid.placed[at]!
  const narrows = piece.kind === 'reducer' && boreAfterM < boreBeforeM
  const flow = solved.pieces[at]!.flowM3PerS
  let size: PipeSize | null = nextSizeUp(narrows ? sizeAfter : sizeBefore)
  while (size && speedMPerS(flow, boreOf(size).boreM) > limitMPerS) size = nextSizeUp(size)
  if (!size) return null
  const upToHere = laid.line.run.pieces.slice(0, narrows ? at + 1 : at)
  const reducer = upToHere.findLastIndex((earlier) => earlier.kind === 'reducer')
  const path =
    reducer < 0
      ? ['returnSide', 'lines', laid.index, 'run', 'size']
      : [...piecesPath(line), reducer, 'to']
  return { size, edits: [{ op: 'set', path, to: size }] }
}

function turnsWithoutElbow(line: LineCase): Finding[] {
  return turnsMissing(line.laid.placed).map((turn) => turnFinding(line, turn))
}

/** Rigid pipe that turns by itself: which, and by how much. */
interface MissingTurn {
  readonly piece: PipePiece
  readonly index: number
  readonly missingDeg: number
}

/** A line is laid once, and turns the same as long as it lies so. */
const turnsMissing = kept((placed: readonly PlacedPiece[]): MissingTurn[] => {
  const found: MissingTurn[] = []
  let last: PipePiece | null = null
  let turned = 0
  placed.forEach(({ piece, sizeBefore }, index) => {
    if (piece.kind === 'elbow') turned += piece.form === 'standard-45' ? 45 : 90
    if (piece.kind === 'tee' && piece.form !== 'side') turned += 90
    // Free hose takes any turn with it.
    if (piece.kind === 'free-hose') last = null
    if (piece.kind !== 'pipe') return
    const missingDeg: number = last ? turnBetween(last, piece) - turned : 0
    if (missingDeg > 0 && !isHose(sizeBefore.series)) found.push({ piece, index, missingDeg })
    last = piece
    turned = 0
  })
  return found
})

/** Degrees between two directions: 0, 90 or 180. */
function turnBetween(from: PipePiece, to: PipePiece): number {
  if (axisOf(from.direction) !== axisOf(to.direction)) return 90
  return signOf(from.direction) === signOf(to.direction) ? 0 : 180
}

function turnFinding(line: LineCase, { piece, index, missingDeg }: MissingTurn): Finding {
  const elbows = Math.ceil(missingDeg / 90)
  const edits = Array.from({ length: elbows }, (_, i): Edit => {
    const elbow: ElbowPiece = {
      id: freeId(line, `${piece.id}-turn-${i + 1}`),
      kind: 'elbow',
      form: 'standard-90',
    }
    return { op: 'insert', path: piecesPath(line), at: index, item: elbow }
  })
  return aboutLine(line, {
    code: 'turn-without-elbow',
    severity: 'watch',
    title: sentence(`${lineWords(line)}It turns ${piece.direction} without an elbow`),
    reason: sentence('Rigid pipe cannot turn by itself, and the turn’s loss is not counted.'),
    pieceId: piece.id,
    fixes: () => [
      fixForFlow(
        line.solving.steady,
        sentence(elbows === 1 ? 'Put an elbow in' : 'Put two elbows in'),
        edits,
        ofLine(line),
      ),
    ],
  })
}

/** An id no piece of the design has: the wanted one, or the same with a number. */
export function freeId({ design }: LineCase, wanted: string): string {
  const taken = new Set(
    gather(design.returnSide.lines, ({ run }) => run.pieces.map((piece) => piece.id)),
  )
  if (!taken.has(wanted)) return wanted
  let n = 2
  while (taken.has(`${wanted}-${n}`)) n++
  return `${wanted}-${n}`
}

function hosesTooShort(line: LineCase): Finding[] {
  const { pieces } = line.laid.line.run
  if (!pieces.some(({ kind }) => kind === 'free-hose')) return []
  return gather(pieces, (piece, index) => {
    if (piece.kind !== 'free-hose') return []
    const straightM = Math.hypot(piece.byXM, piece.byYM, piece.byZM)
    if (piece.lengthM >= straightM) return []
    const path = [...piecesPath(line), index, 'lengthM']
    return [
      aboutLine(line, {
        code: 'hose-too-short',
        severity: 'stop',
        title: sentence(`${lineWords(line)}The hose is {short} too short`, {
          short: ['length', straightM - piece.lengthM],
        }),
        reason: sentence(
          'It is {long} long and must reach {far} in a straight line; a curve takes more.',
          { long: ['length', piece.lengthM], far: ['length', straightM] },
        ),
        pieceId: piece.id,
        fixes: () => [
          fixForFlow(
            line.solving.steady,
            sentence('Cut it {long} long', { long: ['length', straightM * CURVE_SHARE] }),
            [{ op: 'set', path, to: straightM * CURVE_SHARE }],
            ofLine(line),
          ),
        ],
      }),
    ]
  })
}

/** A hose laid in an easy curve is about a tenth longer than the straight way (choice). */
export const CURVE_SHARE = 1.1

function afterNozzle(line: LineCase): Finding[] {
  const { pieces } = line.laid.line.run
  const nozzle = pieces.findIndex((piece) => piece.kind === 'nozzle')
  if (nozzle < 0 || nozzle === pieces.length - 1) return []
  const moved = [...pieces.filter((_, i) => i !== nozzle), pieces[nozzle]]
  return [
    aboutLine(line, {
      code: 'pieces-after-nozzle',
      severity: 'stop',
      title: sentence(`${lineWords(line)}The run goes on after its nozzle`),
      reason: sentence('A nozzle is the end of a run. Move it last, or take out what follows it.'),
      pieceId: pieces[nozzle]!.id,
      fixes: () => [
        fixForFlow(
          line.solving.steady,
          sentence('Move the nozzle to the end'),
          [{ op: 'set', path: piecesPath(line), to: moved }],
          ofLine(line),
        ),
      ],
    }),
  ]
}
