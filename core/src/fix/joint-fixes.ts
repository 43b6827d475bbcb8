import { type Edit, insertAt, setTo } from '../design/index.ts'
import {
  joinDoesNotMeet,
  type LineCase,
  ofLine,
  outletMismatch,
  startDoesNotMeet,
} from '../finding/index.ts'
import {
  isHose,
  measureOf,
  nearestSize,
  type PipeSize,
  sameSize,
  sizeWords,
} from '../pipe/index.ts'
import { sentence } from '../quantity/index.ts'
import type { Piece } from '../run/index.ts'
import { type FindingFixes, fixesFor } from './finding-fix.ts'
import { givingFlow } from './flow/wish.ts'
import { freePieceId, piecesPath } from './paths.ts'

const COUNTED = sentence('Its loss is counted from then on.')

/** What lets parts meet that are not of one size. */
export const JOINT_FIXES: readonly FindingFixes[] = [
  fixesFor(outletMismatch, (line, { outletM }) => {
    const { size } = line.laid.line.run
    const near = nearestSize(size.series, outletM, measureOf(size))
    return sameSize(near, size)
      ? []
      : [
          givingFlow(
            sentence('Start in {size} and adapt', { size: sizeWords(near) }),
            startIn(line, near),
            ofLine(line),
          ),
        ]
  }),
  fixesFor(startDoesNotMeet, (line, atTee) => {
    const hose = isHose(line.laid.line.run.size.series) !== isHose(atTee.series)
    return [
      {
        label: sentence(hose ? 'Put a barbed adapter in' : 'Put a reducer in'),
        brings: () => COUNTED,
        edits: startIn(line, atTee),
      },
    ]
  }),
  fixesFor(joinDoesNotMeet, (line, { atTee }) => [
    {
      label: sentence('Put an adapter in'),
      brings: () => COUNTED,
      edits: [insertAt(piecesPath(line), line.laid.line.run.pieces.length, adapterTo(line, atTee))],
    },
  ]),
]

/** Lets a line begin in another size and change to its own at once. */
function startIn(line: LineCase, size: PipeSize): Edit[] {
  const { run } = line.laid.line
  return [
    setTo(['returnSide', 'lines', line.laid.index, 'run', 'size'], size),
    insertAt(piecesPath(line), 0, adapterTo(line, run.size)),
  ]
}

function adapterTo(line: LineCase, to: PipeSize): Piece {
  const id = freePieceId(line, `${line.laid.line.id}-adapter`)
  return { id, kind: 'reducer', to, angleDeg: null }
}
