import { transitionLoss } from '../../fitting/transition.ts'
import { speedMPerS, velocityHeadM } from '../../pipe/flow.ts'
import { isHose } from '../../pipe/series.ts'
import {
  boreOf,
  nearestSize,
  nextSizeUp,
  sameSize,
  sizeWords,
  type PipeSize,
} from '../../pipe/size.ts'
import { sentence } from '../../quantity/sentence.ts'
import { axisOf, signOf } from '../../run/path.ts'
import type { ElbowPiece, Piece, PipePiece } from '../../run/piece.ts'
import type { Edit } from '../edit.ts'
import type { Finding, Solving } from './finding.ts'
import { fixForFlow } from './try-out.ts'

/** Faster than this in plastic pipe is loud and wears on elbows: the 5 ft/s that pipe makers' guides give. */
export const FAST_M_PER_S = 1.5
/** An outlet and a line whose bores differ by less than this share go together (choice). */
const MATCH_SHARE = 0.15

export function lineFindings(solving: Solving): Finding[] {
  return [
    tooFast(solving),
    outletMismatch(solving),
    pastCurve(solving),
    turnsWithoutElbow(solving),
    afterNozzle(solving),
  ].flat()
}

function tooFast(solving: Solving): Finding[] {
  const { design, layout, returnSide } = solving
  if (returnSide.fastestMPerS <= FAST_M_PER_S || returnSide.status !== 'flows') return []
  const at = layout.placed.findIndex(({ piece }) => piece.id === returnSide.fastestPieceId)
  const { boreM } = returnSide.pieces[at]!
  const edits = widen(solving, at)
  return [
    {
      code: 'water-too-fast',
      severity: 'watch',
      stop: 'return',
      title: sentence('Water runs at {speed} in the {bore} bore', {
        speed: ['speed', returnSide.fastestMPerS],
        bore: ['length', boreM],
      }),
      reason: sentence(
        'Above {limit} a line grows loud, and its losses grow with the square of the speed.',
        { limit: ['speed', FAST_M_PER_S] },
      ),
      pieceId: returnSide.fastestPieceId,
      fixes: edits
        ? [fixForFlow(design, sentence(`Make it ${sizeWords(edits.size)}`), edits.edits)]
        : [],
    },
  ]
}

/** The least wider size of the fast stretch that slows the present flow to the limit. */
function widen(
  { design, layout, returnSide }: Solving,
  at: number,
): { size: PipeSize; edits: Edit[] } | null {
  const { piece, sizeBefore, sizeAfter, boreBeforeM, boreAfterM } = layout.placed[at]!
  const narrows = piece.kind === 'reducer' && boreAfterM < boreBeforeM
  let size: PipeSize | null = nextSizeUp(narrows ? sizeAfter : sizeBefore)
  while (size && speedMPerS(returnSide.flowM3PerS, boreOf(size).boreM) > FAST_M_PER_S) {
    size = nextSizeUp(size)
  }
  if (!size) return null
  const upToHere = design.returnSide.run.pieces.slice(0, narrows ? at + 1 : at)
  const reducer = upToHere.findLastIndex((earlier) => earlier.kind === 'reducer')
  const path =
    reducer < 0 ? ['returnSide', 'run', 'size'] : ['returnSide', 'run', 'pieces', reducer, 'to']
  return { size, edits: [{ op: 'set', path, to: size }] }
}

function outletMismatch(solving: Solving): Finding[] {
  const { design, layout, returnSide } = solving
  const { run } = design.returnSide
  const outletM = layout.part.outletBoreM
  const lineM = boreOf(run.size).boreM
  if (Math.abs(lineM - outletM) <= MATCH_SHARE * outletM) return []
  const step = { fromBoreM: outletM, toBoreM: lineM, angleDeg: null }
  const narrowM = Math.min(outletM, lineM)
  const lossM = transitionLoss(step).k * velocityHeadM(speedMPerS(returnSide.flowM3PerS, narrowM))
  const near = nearestSize(run.size.series, outletM)
  const adapter: Piece = {
    id: adapterId(run.pieces),
    kind: 'reducer',
    to: run.size,
    angleDeg: null,
  }
  const fits = !sameSize(near, run.size)
  return [
    {
      code: 'outlet-mismatch',
      severity: 'watch',
      stop: 'return',
      title: sentence('The pump’s outlet and the line do not match'),
      reason: sentence(
        'The outlet’s bore is {outlet}, the line’s {line}. An adapter between them costs about {loss} at this flow; it is not counted until it is in the run.',
        { outlet: ['length', outletM], line: ['length', lineM], loss: ['head', lossM] },
      ),
      pieceId: run.pieces[0]?.id ?? null,
      fixes: fits
        ? [
            fixForFlow(design, sentence(`Start in ${sizeWords(near)} and adapt`), [
              { op: 'set', path: ['returnSide', 'run', 'size'], to: near },
              { op: 'insert', path: ['returnSide', 'run', 'pieces'], at: 0, item: adapter },
            ]),
          ]
        : [],
    },
  ]
}

/** An id no other piece has. */
function adapterId(pieces: readonly Piece[]): string {
  let n = 1
  while (pieces.some((piece) => piece.id === `adapter-${n}`)) n++
  return `adapter-${n}`
}

function pastCurve({ layout, returnSide }: Solving): Finding[] {
  const knownM3PerS = layout.curve.knownToM3PerS * returnSide.speed
  if (returnSide.flowM3PerS <= knownM3PerS) return []
  return [
    {
      code: 'past-known-curve',
      severity: 'watch',
      stop: 'return',
      title: sentence('The pump runs past its printed curve'),
      reason: sentence(
        'Its curve is known up to {known}; beyond, it is drawn straight on. Treat {flow} as a guess, or measure it.',
        { known: ['flow', knownM3PerS], flow: ['flow', returnSide.flowM3PerS] },
      ),
      pieceId: null,
      fixes: [],
    },
  ]
}

function turnsWithoutElbow({ design, layout }: Solving): Finding[] {
  const { pieces } = design.returnSide.run
  const found: Finding[] = []
  let last: PipePiece | null = null
  let turned = 0
  pieces.forEach((piece, index) => {
    if (piece.kind === 'elbow') turned += piece.form === 'standard-45' ? 45 : 90
    if (piece.kind !== 'pipe') return
    const missing: number = last ? turnBetween(last, piece) - turned : 0
    const bends = isHose(layout.placed[index]!.sizeBefore.series)
    if (missing > 0 && !bends) found.push(turnFinding(design, piece, index, missing))
    last = piece
    turned = 0
  })
  return found
}

/** Degrees between two directions: 0, 90 or 180. */
function turnBetween(from: PipePiece, to: PipePiece): number {
  if (axisOf(from.direction) !== axisOf(to.direction)) return 90
  return signOf(from.direction) === signOf(to.direction) ? 0 : 180
}

function turnFinding(
  design: Solving['design'],
  piece: PipePiece,
  index: number,
  missingDeg: number,
): Finding {
  const { pieces } = design.returnSide.run
  const elbows = Math.ceil(missingDeg / 90)
  const edits = Array.from({ length: elbows }, (_, i): Edit => {
    const elbow: ElbowPiece = {
      id: `${piece.id}-turn-${i + 1}`,
      kind: 'elbow',
      form: 'standard-90',
    }
    const taken = pieces.some((other) => other.id === elbow.id)
    const item = taken ? { ...elbow, id: `${elbow.id}-${index}` } : elbow
    return { op: 'insert', path: ['returnSide', 'run', 'pieces'], at: index, item }
  })
  return {
    code: 'turn-without-elbow',
    severity: 'watch',
    stop: 'return',
    title: sentence(`The run turns ${piece.direction} without an elbow`),
    reason: sentence('Rigid pipe cannot turn by itself, and the turn’s loss is not counted.'),
    pieceId: piece.id,
    fixes: [
      fixForFlow(design, sentence(elbows === 1 ? 'Put an elbow in' : 'Put two elbows in'), edits),
    ],
  }
}

function afterNozzle({ design }: Solving): Finding[] {
  const { pieces } = design.returnSide.run
  const nozzle = pieces.findIndex((piece) => piece.kind === 'nozzle')
  if (nozzle < 0 || nozzle === pieces.length - 1) return []
  return [
    {
      code: 'pieces-after-nozzle',
      severity: 'stop',
      stop: 'return',
      title: sentence('The run goes on after its nozzle'),
      reason: sentence('A nozzle is the end of a run. Move it last, or take out what follows it.'),
      pieceId: pieces[nozzle]!.id,
      fixes: [
        fixForFlow(design, sentence('Move the nozzle to the end'), [
          {
            op: 'set',
            path: ['returnSide', 'run', 'pieces'],
            to: [...pieces.filter((_, i) => i !== nozzle), pieces[nozzle]],
          },
        ]),
      ],
    },
  ]
}
