import type { Edit } from '../design/index.ts'
import { transitionLoss } from '../fitting/index.ts'
import { kept } from '../numeric/index.ts'
import {
  boreOf,
  isHose,
  nearestSize,
  type PipeSize,
  sameSize,
  sizeWords,
  speedMPerS,
  velocityHeadM,
} from '../pipe/index.ts'
import { sentence } from '../quantity/index.ts'
import type { Piece, PlacedPiece } from '../run/index.ts'
import { aboutLine, type Finding, type LineCase, lineWords, piecesPath } from './finding.ts'
import { freeId, ofLine } from './line.ts'
import { fixForFlow } from './try-out.ts'

/** An outlet and a line whose bores differ by less than this share go together (choice). */
const MATCH_SHARE = 0.15

/** Do the parts meet: pump outlet and line, tee and takeoff, hose and pipe? */
export function jointFindings(line: LineCase): Finding[] {
  return [...outletMismatch(line), ...startMismatch(line), ...joinMismatch(line)]
}

function outletMismatch(line: LineCase): Finding[] {
  const { laid, solved, pump } = line
  if (laid.line.start.at !== 'pump') return []
  const { run } = laid.line
  const outletM = pump.part.outletBoreM
  const lineM = boreOf(run.size).boreM
  if (Math.abs(lineM - outletM) <= MATCH_SHARE * outletM) return []
  const step = { fromBoreM: outletM, toBoreM: lineM, angleDeg: null }
  const speed = speedMPerS(Math.abs(solved.startFlowM3PerS), Math.min(outletM, lineM))
  const lossM = transitionLoss(step).k * velocityHeadM(speed)
  const near = nearestSize(run.size.series, outletM)
  return [
    aboutLine(line, {
      code: 'outlet-mismatch',
      severity: 'watch',
      title: sentence(`${lineWords(line)}The pump’s outlet and the line do not match`),
      reason: sentence(
        'The outlet’s bore is {outlet}, the line’s {line}. An adapter between them costs about {loss} at this flow; it is not counted until it is in the run.',
        { outlet: ['length', outletM], line: ['length', lineM], loss: ['head', lossM] },
      ),
      pieceId: run.pieces[0]?.id ?? null,
      fixes: () =>
        sameSize(near, run.size)
          ? []
          : [
              fixForFlow(
                line.solving.steady,
                sentence(`Start in ${sizeWords(near)} and adapt`),
                startIn(line, near),
                ofLine(line),
              ),
            ],
    }),
  ]
}

const COUNTED = sentence('Its loss is counted from then on.')

/** A takeoff whose first pipe is not of the tee's size. */
function startMismatch(line: LineCase): Finding[] {
  const { laid } = line
  if (laid.line.start.at !== 'tee') return []
  const atTee = sizeAtTee(line, laid.line.start.id)
  const own = laid.line.run.size
  if (!atTee || fits(atTee, own)) return []
  const hose = isHose(own.series) !== isHose(atTee.series)
  return [
    aboutLine(line, {
      code: 'sizes-do-not-meet',
      severity: 'watch',
      title: sentence(`${laid.line.name} does not fit its tee`),
      reason: sentence(
        hose
          ? `The tee is ${sizeWords(atTee)} and the line begins in ${sizeWords(own)}: a barbed adapter is needed, and its loss is not counted until it is in the line.`
          : `The tee is ${sizeWords(atTee)} and the line begins in ${sizeWords(own)}: a reducer is needed, or a reducing tee, and its loss is not counted until it is in the line.`,
      ),
      pieceId: laid.line.run.pieces[0]?.id ?? null,
      fixes: () => [
        {
          label: sentence(hose ? 'Put a barbed adapter in' : 'Put a reducer in'),
          brings: COUNTED,
          edits: startIn(line, atTee),
        },
      ],
    }),
  ]
}

/** A line that joins a tee of another size. */
function joinMismatch(line: LineCase): Finding[] {
  const { laid } = line
  const { end, run } = laid.line
  if (end.at !== 'tee' || end.id === null) return []
  const atTee = sizeAtTee(line, end.id)
  const last = laid.placed.at(-1)?.sizeAfter ?? run.size
  if (!atTee || fits(atTee, last)) return []
  const item: Piece = {
    id: freeId(line, `${laid.line.id}-adapter`),
    kind: 'reducer',
    to: atTee,
    angleDeg: null,
  }
  return [
    aboutLine(line, {
      code: 'sizes-do-not-meet',
      severity: 'watch',
      title: sentence(`${laid.line.name} does not fit the tee it joins`),
      reason: sentence(`It arrives in ${sizeWords(last)} and the tee is ${sizeWords(atTee)}.`),
      pieceId: run.pieces.at(-1)?.id ?? null,
      fixes: () => [
        {
          label: sentence('Put an adapter in'),
          brings: COUNTED,
          edits: [{ op: 'insert', path: piecesPath(line), at: run.pieces.length, item }],
        },
      ],
    }),
  ]
}

/** Lets a line begin in another size and change to its own at once. */
function startIn(line: LineCase, size: PipeSize): Edit[] {
  const { run, id } = line.laid.line
  const item: Piece = {
    id: freeId(line, `${id}-adapter`),
    kind: 'reducer',
    to: run.size,
    angleDeg: null,
  }
  return [
    {
      op: 'set',
      path: ['returnSide', 'lines', line.laid.index, 'run', 'size'],
      to: size,
    },
    { op: 'insert', path: piecesPath(line), at: 0, item },
  ]
}

function sizeAtTee({ solving }: LineCase, teeId: string): PipeSize | null {
  for (const { placed } of solving.layout.lines) {
    const size = teeSizes(placed).get(teeId)
    if (size) return size
  }
  return null
}

/** The size that each tee of a laid line has. */
const teeSizes = kept((placed: readonly PlacedPiece[]) => {
  const sizes = new Map<string, PipeSize>()
  for (const { piece, sizeBefore } of placed) {
    if (piece.kind === 'tee') sizes.set(piece.id, sizeBefore)
  }
  return sizes
})

function fits(a: PipeSize, b: PipeSize): boolean {
  return isHose(a.series) === isHose(b.series) && boreOf(a).boreM === boreOf(b).boreM
}
