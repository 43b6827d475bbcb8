import { type Edit, insertAt, setTo } from '../design/index.ts'
import {
  type ElbowRow,
  hardElbowsInARow,
  hoseTooShort,
  type LineCase,
  ofLine,
  piecesAfterNozzle,
  spareWithoutValve,
  turnWithoutElbow,
  waterTooFast,
} from '../finding/index.ts'
import {
  boreOf,
  measureOf,
  nearestSize,
  nextSizeUp,
  type PipeSeries,
  type PipeSize,
  sizeWords,
  speedMPerS,
} from '../pipe/index.ts'
import { sentence } from '../quantity/index.ts'
import type { Piece } from '../run/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'
import { givingFlow } from './flow/wish.ts'
import { freePieceId, piecesPath } from './paths.ts'
import type { Trial } from './trial.ts'

/** A hose laid in an easy curve is about a tenth longer than the straight way (choice). */
const CURVE_SHARE = 1.1

/** What fixes the pieces of a line and how they meet. */
export const LINE_PIECE_FIXES: readonly FindingFixes[] = [
  fixesFor(
    waterTooFast,
    (line, { at, limitMPerS }, trials) => {
      const wide = widened(line, at, limitMPerS).find(({ edits }) =>
        isQuiet(trials.of(edits), line, at, limitMPerS),
      )
      return wide
        ? [
            givingFlow(
              sentence('Make it {size}', { size: sizeWords(wide.size) }),
              wide.edits,
              ofLine(line),
            ),
          ]
        : []
    },
    // Another piece may be the fastest then: that is the next finding.
    { helps: (line, { at, limitMPerS }, after) => isQuiet(after, line, at, limitMPerS) },
  ),
  fixesFor(turnWithoutElbow, (line, { piece, index, missingDeg }) => {
    const elbows = Math.ceil(missingDeg / 90)
    const edits = Array.from({ length: elbows }, (_, i) =>
      insertAt(piecesPath(line), index, {
        id: freePieceId(line, `${piece.id}-turn-${i + 1}`),
        kind: 'elbow',
        form: 'standard-90',
      }),
    )
    const label = sentence(elbows === 1 ? 'Put an elbow in' : 'Put two elbows in')
    return [givingFlow(label, edits, ofLine(line))]
  }),
  fixesFor(hoseTooShort, (line, { index, straightM }) => {
    const lengthM = straightM * CURVE_SHARE
    return [
      givingFlow(
        sentence('Cut it {long} long', { long: ['length', lengthM] }),
        [setTo([...piecesPath(line), index, 'lengthM'], lengthM)],
        ofLine(line),
      ),
    ]
  }),
  fixesFor(piecesAfterNozzle, (line, nozzle) => {
    const { pieces } = line.laid.line.run
    const moved = [...pieces.filter((_, i) => i !== nozzle), pieces[nozzle]!]
    return [
      givingFlow(
        sentence('Move the nozzle to the end'),
        [setTo(piecesPath(line), moved)],
        ofLine(line),
      ),
    ]
  }),
  fixesFor(hardElbowsInARow, (line, row, trials) =>
    (['smooth-hose', 'ribbed-hose'] as const)
      .map((series) => curvedHose(line, row, series))
      .filter((fix) => fix !== null)
      .filter(({ edits }) => trials.of(edits).flow(ofLine(line)) > line.solved.flowM3PerS),
  ),
  fixesFor(spareWithoutValve, (line) => [
    {
      label: sentence('Put a ball valve in'),
      brings: () => sentence('Lets you build on without stopping the return.'),
      edits: [
        insertAt(piecesPath(line), 0, {
          id: freePieceId(line, `${line.laid.line.id}-valve`),
          kind: 'valve',
          form: 'ball',
          opening: 0,
          kvM3PerH: null,
        }),
      ],
    },
  ]),
]

/** No more wider sizes than this are tried: each lets more water through (choice). */
const MOST_SIZES = 4

/** Does water run no faster than the limit in a piece? */
function isQuiet({ whole }: Trial, { laid }: LineCase, at: number, limitMPerS: number): boolean {
  return whole.returnSide.lines[laid.index]!.pieces[at]!.speedMPerS <= limitMPerS
}

/** Wider sizes of the fast stretch, from the least that would slow the present flow to the limit. */
function widened(
  line: LineCase,
  at: number,
  limitMPerS: number,
): { size: PipeSize; edits: readonly Edit[] }[] {
  const { laid, solved } = line
  const { piece, sizeBefore, sizeAfter, boreBeforeM, boreAfterM } = laid.placed[at]!
  const narrows = piece.kind === 'reducer' && boreAfterM < boreBeforeM
  const flow = solved.pieces[at]!.flowM3PerS
  let size: PipeSize | null = nextSizeUp(narrows ? sizeAfter : sizeBefore)
  while (size && speedMPerS(flow, boreOf(size).boreM) > limitMPerS) size = nextSizeUp(size)
  const upToHere = laid.line.run.pieces.slice(0, narrows ? at + 1 : at)
  const reducer = upToHere.findLastIndex((earlier) => earlier.kind === 'reducer')
  const sizes: PipeSize[] = []
  for (; size && sizes.length < MOST_SIZES; size = nextSizeUp(size)) sizes.push(size)
  return sizes.map((wide) => ({
    size: wide,
    edits: [
      reducer < 0
        ? setTo(['returnSide', 'lines', laid.index, 'run', 'size'], wide)
        : setTo([...piecesPath(line), reducer, 'to'], wide),
    ],
  }))
}

/** A row of elbows replaced by hose of about the same bore; null where there is no way to go. */
function curvedHose(
  line: LineCase,
  { first, last }: ElbowRow,
  series: PipeSeries,
): FindingCandidate | null {
  const { laid } = line
  const before = laid.placed[first]!
  const after = laid.placed[last]!
  const by = {
    byXM: after.to.xM - before.from.xM,
    byYM: after.to.yM - before.from.yM,
    byZM: after.to.zM - before.from.zM,
  }
  const straightM = Math.hypot(by.byXM, by.byYM, by.byZM)
  if (straightM < 0.02) return null
  const hose = nearestSize(series, before.boreBeforeM, measureOf(before.sizeBefore))
  const changeTo = (name: string, size: PipeSize): Piece => ({
    id: freePieceId(line, `${before.piece.id}-${name}`),
    kind: 'reducer',
    to: size,
    angleDeg: null,
  })
  const curve: Piece = {
    id: freePieceId(line, `${before.piece.id}-hose`),
    kind: 'free-hose',
    lengthM: straightM * CURVE_SHARE,
    ...by,
  }
  const { pieces } = laid.line.run
  const curved = [
    ...pieces.slice(0, first),
    changeTo('barb', hose),
    curve,
    changeTo('back', after.sizeAfter),
    ...pieces.slice(last + 1),
  ]
  return givingFlow(
    sentence('Curve {size} in their place', { size: sizeWords(hose) }),
    [setTo(piecesPath(line), curved)],
    ofLine(line),
  )
}
