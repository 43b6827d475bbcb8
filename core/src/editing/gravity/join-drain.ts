import {
  applyEdits,
  type BasinDesign,
  type Drain,
  type Edit,
  isJoined,
  setTo,
} from '../../design/index.ts'
import { waterAt } from '../../fluid/index.ts'
import { type LaidDrain, layDrains } from '../../loop/index.ts'
import { toMillimetre } from '../../quantity/index.ts'
import { axisOf, type Piece, type Point, type Run } from '../../run/index.ts'
import { crossing, type Unnamed } from './new-drains.ts'

/** A tee takes no less room in a pipe than this, m (choice). */
const LEAST_PIPE_M = 0.1
/** A pipe that comes down on a tee goes straight down to it for this much, m (choice). */
const DOWN_TO_TEE_M = 0.08

/** May a drain be led into another? Both of one box, the other straight into a chamber, and neither joined yet. */
export function mayJoin(design: BasinDesign, drain: Drain, other: Drain): boolean {
  return (
    other.id !== drain.id &&
    other.tankId === drain.tankId &&
    other.end.at === 'chamber' &&
    !isJoined(design, other) &&
    !isJoined(design, drain) &&
    teePlaces(other.run).length > 0
  )
}

/**
 * A drain led into another: a tee in the other's pipe, below its valve where that has one, and this
 * drain's pipe from its own valve to there. Both keep their inlets and their valves.
 */
export function joinDrain(design: BasinDesign, index: number, otherIndex: number): Edit[] {
  const drain = design.drains[index]!
  const other = design.drains[otherIndex]!
  const teeId = unused(design, `${drain.id}-joins`)
  const withTee = setTo(['drains', otherIndex, 'run'], teed(other.run, teeId))
  const laid = laidOf(applyEdits(design, [withTee]), otherIndex)
  const tee = laid.placed.find(({ piece }) => piece.id === teeId)!
  const along = laid.placed[laid.placed.indexOf(tee) - 1]!.piece
  const isUpright = along.kind === 'pipe' && axisOf(along.direction) === 'zM'
  return [
    withTee,
    setTo(['drains', index, 'run'], ledTo(drain, tee.from, isUpright)),
    setTo(['drains', index, 'end'], { ...drain.end, at: 'tee', id: teeId }),
  ]
}

const laidOf = ({ drains, water }: BasinDesign, index: number): LaidDrain =>
  layDrains(drains, waterAt(water))[index]!

function unused({ drains }: BasinDesign, wanted: string): string {
  const taken = new Set(drains.flatMap(({ run }) => run.pieces.map(({ id }) => id)))
  let id = wanted
  for (let n = 2; taken.has(id); n++) id = `${wanted}-${n}`
  return id
}

/** Pipes of a run that have the room for a tee: those below its valve and its union first. */
function teePlaces({ pieces }: Run): number[] {
  const places = pieces.flatMap((piece, i) =>
    piece.kind === 'pipe' && piece.lengthM >= LEAST_PIPE_M ? [i] : [],
  )
  const valve = pieces.findLastIndex(({ kind }) => kind === 'valve' || kind === 'union')
  return [...places.filter((i) => i > valve), ...places.filter((i) => i < valve)]
}

/** A run with a tee in the middle of a pipe of it. */
function teed(run: Run, teeId: string): Run {
  const [at] = teePlaces(run)
  const pipe = run.pieces[at!] as Extract<Piece, { kind: 'pipe' }>
  const firstM = toMillimetre(pipe.lengthM / 2)
  return {
    ...run,
    pieces: [
      ...run.pieces.slice(0, at),
      { ...pipe, lengthM: firstM },
      { id: teeId, kind: 'tee', form: 'side' },
      { ...pipe, id: `${teeId}-on`, lengthM: pipe.lengthM - firstM },
      ...run.pieces.slice(at! + 1),
    ],
  }
}

/** A drain's run led from its inlet to a tee: into its side, or down onto it where the tee lies. */
function ledTo({ id, run, inlet }: Drain, tee: Point, isUpright: boolean): Run {
  const { place } = inlet
  const turnM = tee.zM + (isUpright ? 0 : DOWN_TO_TEE_M)
  const kept = run.pieces.filter(({ kind }) => kind === 'valve' || kind === 'union')
  const pieces: Unnamed[] = [
    { kind: 'pipe', direction: 'down', lengthM: toMillimetre(Math.max(0.02, place.zM - turnM)) },
    ...kept,
    ...crossing(tee.xM - place.xM, tee.yM - place.yM),
  ]
  if (!isUpright) {
    pieces.push({ kind: 'elbow', form: 'standard-90' })
    pieces.push({ kind: 'pipe', direction: 'down', lengthM: DOWN_TO_TEE_M })
  }
  return { ...run, pieces: pieces.map((piece, i) => ({ ...piece, id: `${id}-${i + 1}` })) }
}
