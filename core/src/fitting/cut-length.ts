import { isHose, type PipeSize } from '../pipe/index.ts'
import { type TakeOff, type TakeOffKind, takeOffOf, type OwnTakeOff } from './take-off.ts'

/** Can a piece be glued, and sawn out and used again? spigot-off: a spigot stands there, and its socket is not where it ends. */
export type CutVerdict = 'fine' | 'cannot-be-used-again' | 'too-short-to-glue' | 'spigot-off'

/** A piece of pipe between two fittings. */
export interface CutLength {
  /** As it is sawn, m; negative where the fittings do not even fit side by side. */
  readonly cutM: number
  /** Both socket depths: the fittings face to face. */
  readonly leastM: number
  readonly verdict: CutVerdict
}

/** So much bare pipe between two sockets lets a saw in, m. */
const SAW_ROOM_M = 0.006
/** What rounding in sums of lengths can't tell apart, m. */
const SAME_M = 1e-9

/** Hose is cut longer by this share, so that it hangs without pull. */
const HOSE_SLACK = 0.04
/** A barb goes in so many bores of the hose. */
const BARB_BORES = 1.2

/** Cut = centre to centre − z₁ − z₂; the least is both socket depths (hydraulics §16). */
export function cutLength(centreToCentreM: number, from: TakeOff, to: TakeOff): CutLength {
  const cutM = centreToCentreM - from.zM - to.zM
  const leastM = from.depthM + to.depthM
  return { cutM, leastM, verdict: verdictOf(cutM, leastM) }
}

function verdictOf(cutM: number, leastM: number): CutVerdict {
  if (cutM < leastM - SAME_M) return 'too-short-to-glue'
  return cutM < leastM + SAW_ROOM_M - SAME_M ? 'cannot-be-used-again' : 'fine'
}

/** Shortest piece that can be glued, sawn out and used again between two fittings, m. */
export function reusableStubM(from: TakeOff, to: TakeOff): number {
  return from.depthM + to.depthM + SAW_ROOM_M
}

/**
 * From the middle of the first fitting of a straight row to that of the last, m: each with a stub between that can be glued,
 * sawn out and used again. Rigid pipe alone.
 */
export function rowM(
  kinds: readonly TakeOffKind[],
  size: PipeSize,
  own: readonly OwnTakeOff[] = [],
): number {
  const row = kinds.map((kind) => takeOffOf(kind, size, own))
  return row.slice(1).reduce((sum, to, i) => {
    const from = row[i]!
    return sum + from.zM + reusableStubM(from, to) + to.zM
  }, 0)
}

/** Lengths of pipe are laid in steps of so much, m. */
const LAID_STEP_M = 0.005

/** A straight length to lay for a row of fittings: room for all of them, no less than wanted, in whole steps; hose bends, and wants none. */
export function roomFor(kinds: readonly TakeOffKind[], size: PipeSize, leastM = 0): number {
  const needM = isHose(size.series) ? leastM : Math.max(leastM, rowM(kinds, size))
  return Math.ceil(needM / LAID_STEP_M - 1e-9) * LAID_STEP_M
}

/** Hose to cut: its length and slack, and what goes over each barb. */
export function hoseCutM(lengthM: number, boreM: number, barbs: number): number {
  return lengthM * (1 + HOSE_SLACK) + barbs * BARB_BORES * boreM
}
