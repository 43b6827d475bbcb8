import { byId, type Edit, surfaceM } from '../design/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import { axisOf, type Piece, type PipePiece, type Point, signOf } from '../run/index.ts'
import {
  aboutLine,
  type Finding,
  type Fix,
  type LineCase,
  lineWords,
  piecesPath,
} from './finding.ts'
import { breakHole } from './guard.ts'
import { ofLine } from './line.ts'
import { fixForFlow } from './try-out.ts'

/** How far inside a panel a moved mouth comes to stand (choice). */
const INSIDE_M = 0.04
/** How far above the water a raised mouth ends (choice). */
const ABOVE_M = 0.03
/** No shorter pipe is proposed. */
const SHORTEST_M = 0.01
/** A line that ends this near to its place has reached it: glue and sockets give as much (choice). */
const REACHED_M = 0.005

/** Does the line end where it should: over its tank, at its bulkhead, in its tee? */
export function endFindings(line: LineCase): Finding[] {
  const missed = missesPlace(line)
  if (missed.length > 0) return missed
  if (line.laid.end === 'outside-tank') return [outside(line)]
  if (line.laid.end === 'under-water') return underWater(line)
  return []
}

/** The place a line must reach: its bulkhead, or the tee it joins. */
function wantedPlace({ laid, solving }: LineCase): Point | null {
  const { end } = laid.line
  if (end.at === 'tee' && end.id !== null) return solving.layout.tees.get(end.id)?.place ?? null
  return end.place
}

function missesPlace(line: LineCase): Finding[] {
  const wanted = wantedPlace(line)
  if (!wanted) return []
  const { mouth, line: drawn } = line.laid
  const offM = Math.hypot(wanted.xM - mouth.xM, wanted.yM - mouth.yM, wanted.zM - mouth.zM)
  if (offM <= REACHED_M) return []
  const where = drawn.end.at === 'tee' ? 'the tee it joins' : 'its bulkhead'
  const longer = stretchFix(line, wanted, sentence('Stretch it to meet'))
  return [
    aboutLine(line, {
      code: 'misses-its-place',
      severity: 'stop',
      title: sentence(`${lineWords(line)}It ends {off} from ${where}`, { off: ['length', offM] }),
      reason: sentence(
        longer.length > 0
          ? 'It is off by {x} to the right, {y} to the back and {z} upwards (minus: the other way).'
          : 'It is off by {x} to the right, {y} to the back and {z} upwards (minus: the other way), and has no pipe along one of these to stretch.',
        {
          x: ['length', wanted.xM - mouth.xM],
          y: ['length', wanted.yM - mouth.yM],
          z: ['length', wanted.zM - mouth.zM],
        },
      ),
      pieceId: drawn.run.pieces.at(-1)?.id ?? null,
      fixes: () => longer,
    }),
  ]
}

function outside(line: LineCase): Finding {
  const { design, laid } = line
  const { mouth } = laid
  const tank = byId(design.tanks, laid.line.end.id, 'tank')
  const wanted: Point = {
    xM: inside(mouth.xM, tank.xM, tank.lengthM),
    yM: inside(mouth.yM, tank.yM, tank.widthM),
    zM: mouth.zM < tank.floorHeightM ? surfaceM(tank) + ABOVE_M : mouth.zM,
  }
  return aboutLine(line, {
    code: 'mouth-outside-tank',
    severity: 'stop',
    title: sentence(`${lineWords(line)}The run ends outside the tank`),
    reason: sentence(
      'It ends {x} from the tank’s left panel, {y} from its front and {z} above the room’s floor. What leaves it reaches the floor.',
      {
        x: ['length', mouth.xM - tank.xM],
        y: ['length', mouth.yM - tank.yM],
        z: ['length', mouth.zM],
      },
    ),
    pieceId: laid.line.run.pieces.at(-1)?.id ?? null,
    fixes: () => stretchFix(line, wanted, sentence('Stretch the run to the tank')),
  })
}

function inside(at: number, from: number, size: number): number {
  if (at >= from && at <= from + size) return at
  const margin = Math.min(INSIDE_M, size / 2)
  return at < from ? from + margin : from + size - margin
}

function underWater(line: LineCase): Finding[] {
  const { design, laid } = line
  const { end } = laid.line
  if (end.at !== 'tank') return []
  const surface = surfaceM(byId(design.tanks, end.id, 'tank'))
  const hasBreak = end.breakDepthM !== null
  const checked = laid.line.run.pieces.some((piece) => piece.kind === 'check-valve')
  // The check valve's own finding says the rest.
  if (checked && !hasBreak) return []
  return [
    aboutLine(line, {
      code: 'mouth-under-water',
      severity: hasBreak ? 'fine' : 'watch',
      title: sentence(`${lineWords(line)}The run ends {deep} under water`, {
        deep: ['length', surface - laid.mouth.zM],
      }),
      reason: hasBreak
        ? sentence(
            'When the pump stops, the tank runs back until the break hole {hole} under the surface draws air. A hole that has grown over lets it run down to the mouth.',
            { hole: ['length', end.breakDepthM] },
          )
        : sentence(
            'When the pump stops, the tank runs back to the sump down to the mouth. End it above the water and it breaks its own siphon.',
          ),
      pieceId: laid.line.run.pieces.at(-1)?.id ?? null,
      fixes: () =>
        hasBreak
          ? []
          : [
              ...stretchFix(
                line,
                { ...laid.mouth, zM: surface + ABOVE_M },
                sentence('Raise the end to {above} over the water', { above: ['length', ABOVE_M] }),
              ),
              breakHole(line),
            ],
    }),
  ]
}

/** Changes the last pipe along each axis that is off, when all of them can be. */
function stretchFix(line: LineCase, wanted: Point, label: Sentence): Fix[] {
  const { mouth, line: drawn } = line.laid
  const { pieces } = drawn.run
  const axes = (['xM', 'yM', 'zM'] as const).filter(
    (axis) => Math.abs(wanted[axis] - mouth[axis]) > 1e-6,
  )
  const changes = axes.map((axis) => stretched(pieces, axis, wanted[axis] - mouth[axis]))
  if (changes.some((change) => change === null)) return []
  const edits = changes
    .filter((change) => change !== null)
    .map(({ index, key, to }): Edit => ({ op: 'set', path: [...piecesPath(line), index, key], to }))
  return [fixForFlow(line.solving.steady, label, edits, ofLine(line))]
}

const HOSE_KEYS = { xM: 'byXM', yM: 'byYM', zM: 'byZM' } as const

/** The last piece along an axis, made longer or shorter by so much; a free hose leads anywhere. */
function stretched(pieces: readonly Piece[], axis: 'xM' | 'yM' | 'zM', byM: number) {
  const at = pieces.findLastIndex(
    (piece) => piece.kind === 'pipe' && axisOf(piece.direction) === axis,
  )
  const pipe = pieces[at] as PipePiece | undefined
  const lengthM = pipe ? pipe.lengthM + signOf(pipe.direction) * byM : 0
  if (lengthM >= SHORTEST_M) return { index: at, key: 'lengthM', to: lengthM }
  const hose = pieces.findLastIndex((piece) => piece.kind === 'free-hose')
  const piece = pieces[hose]
  if (piece?.kind !== 'free-hose') return null
  return { index: hose, key: HOSE_KEYS[axis], to: piece[HOSE_KEYS[axis]] + byM }
}
