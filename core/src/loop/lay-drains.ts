import type { Drain } from '../design/index.ts'
import { type Fall, inSeries, makeFall } from '../drain/index.ts'
import {
  BRANCH,
  entranceLoss,
  type Loss,
  PAST_DRY_BRANCH,
  strainerLoss,
  type TeeLaw,
  teeLaw,
  type TeeLeg,
  threeKLoss,
  TURNING_RE,
} from '../fitting/index.ts'
import type { Water } from '../fluid/index.ts'
import { makeLine } from '../network/index.ts'
import { memoizeWith, type Pchip } from '../numeric/index.ts'
import { boreOf } from '../pipe/index.ts'
import {
  adapterLosses,
  type FittingLoss,
  type FrictionLoss,
  layRun,
  openEnd,
  pieceLosses,
  type PieceLosses,
  type PlacedPiece,
  type Point,
} from '../run/index.ts'

/** A drain with every piece placed and its losses known. */
export interface LaidDrain {
  readonly drain: Drain
  /** Its place in the design's list. */
  readonly index: number
  readonly placed: readonly PlacedPiece[]
  readonly losses: readonly PieceLosses[]
  /** Of its inlet. */
  readonly boreM: number
  /** The least it passes on its way: what a film down its wall must go through. */
  readonly leastBoreM: number
  /** Of its first upright stretch, which its air must be dragged down. */
  readonly uprightBoreM: number
  /** A stretch of it rises. */
  readonly rises: boolean
  /** Of the valve in it that is least open; 1: none is part shut. */
  readonly opening: number
  readonly lipM: number
  readonly mouth: Point
  /** From its inlet to its end, or to where another joins. */
  readonly before: Fall
  /** Where another joins it: its tee, and which leg this drain comes in by, the other, and the way on. */
  readonly joint: DrainJoint | null
  /** The rest of the way, where another joins it; null: none does. */
  readonly after: Fall | null
  /** The whole way to a chamber, were nothing else in it. */
  readonly alone: Fall
  /** The same with its valves wide open. */
  readonly aloneOpen: Fall
  /** The drain whose tee it ends in; null: it ends in a chamber. */
  readonly trunkId: string | null
  /** The drain that joins it; null: none. */
  readonly memberId: string | null
  /** Where its water lands in the end. */
  readonly chamberId: string
}

/** A tee in which two drains join. */
export interface DrainJoint {
  readonly law: TeeLaw
  readonly own: TeeLeg
  readonly other: TeeLeg
  readonly out: TeeLeg
}

/** The drain whose pieces hold a tee. */
export function trunkOf(drains: readonly Drain[], teeId: string): Drain | undefined {
  return drains.find(({ run }) => run.pieces.some((piece) => piece.id === teeId))
}

/** All drains of a design; laid anew only when one of them, or the water, changed. */
export const layDrains = memoizeWith(
  (drains: readonly Drain[], water: Water): readonly LaidDrain[] => {
    const own = drains.map((drain, index) => layDrain(drains, drain, index, water))
    return own.map((laid) => {
      const trunk = own.find(({ drain }) => drain.id === laid.trunkId)
      if (!trunk?.after) return laid
      const beyond = inSeries(dryTee(trunk, 'other', water), trunk.after)
      return {
        ...laid,
        alone: inSeries(laid.alone, beyond),
        aloneOpen: inSeries(laid.aloneOpen, beyond),
      }
    })
  },
  Object.is,
)

function layDrain(drains: readonly Drain[], drain: Drain, index: number, water: Water): LaidDrain {
  const { run, inlet, end } = drain
  const { placed, losses: laidLosses, mouth } = layRun(run, inlet.place)
  const first = boreOf(run.size)
  const joinAt = placed.findIndex(({ piece }) => joins(drains, piece.id))
  const losses = laidLosses.map((loss, i) => (i === joinAt ? AT_THE_JOINT : loss))
  const joint = joinAt < 0 ? null : jointOf(placed[joinAt]!)
  const cut = joinAt < 0 ? placed.length : joinAt + 1
  const start = inletLosses(drain, first.boreM, first.tradeSizeIn)
  const last = endLosses(drains, drain, placed)
  const before = fallOf(losses.slice(0, cut), joinAt < 0 ? [...start, ...last] : start, water)
  const after = joinAt < 0 ? null : fallOf(losses.slice(cut), last, water)
  const past = joint && dryFitting(joint, joint.own, placed[joinAt]!.boreBeforeM)
  const alone =
    after && past ? inSeries(inSeries(before, fallOf([], [past], water)), after) : before
  const open = openedLosses(placed, losses, run)
  const ends = [...start, ...last, ...(past ? [past] : [])]
  return {
    drain,
    index,
    placed,
    losses,
    boreM: first.boreM,
    leastBoreM: leastBoreOf(placed, first.boreM),
    uprightBoreM: uprightBoreOf(placed, first.boreM),
    rises: placed.some(({ from, to }) => to.zM > from.zM + LEVEL_M),
    opening: placed.reduce(
      (least, { piece }) => (piece.kind === 'valve' ? Math.min(least, piece.opening) : least),
      1,
    ),
    lipM: inlet.place.zM,
    mouth,
    before,
    joint,
    after,
    alone,
    aloneOpen: open === losses ? alone : fallOf(open, ends, water),
    trunkId: end.at === 'tee' ? (trunkOf(drains, end.id)?.id ?? null) : null,
    memberId: joinAt < 0 ? null : joins(drains, placed[joinAt]!.piece.id)!.id,
    chamberId: end.at === 'tee' ? trunkOf(drains, end.id)!.end.id : end.id,
  }
}

/** A stretch that climbs less than this lies level, m. */
const LEVEL_M = 1e-3

/** Bore of the first pipe that falls more than it goes sideways. */
function uprightBoreOf(placed: readonly PlacedPiece[], firstM: number): number {
  const upright = placed.find(({ piece, from, to }) => {
    const sideways = (to.xM - from.xM) ** 2 + (to.yM - from.yM) ** 2
    return piece.kind === 'pipe' && from.zM > to.zM && (from.zM - to.zM) ** 2 > sideways
  })
  return upright?.boreBeforeM ?? firstM
}

function leastBoreOf(placed: readonly PlacedPiece[], firstM: number): number {
  return placed.reduce((least, { piece, boreBeforeM, boreAfterM }) => {
    const insideM = piece.kind === 'bulkhead' ? (piece.boreM ?? boreBeforeM) : boreAfterM
    return Math.min(least, boreBeforeM, insideM)
  }, firstM)
}

/** The losses of a drain with every valve in it wide open. */
function openedLosses(
  placed: readonly PlacedPiece[],
  losses: readonly PieceLosses[],
  run: Drain['run'],
): readonly PieceLosses[] {
  if (!placed.some(({ piece }) => piece.kind === 'valve' && piece.opening < 1)) return losses
  return placed.map((piece, i) =>
    piece.piece.kind === 'valve'
      ? pieceLosses({ ...piece, piece: { ...piece.piece, opening: 1 } }, run)
      : losses[i]!,
  )
}

/** The drain that ends in a tee. */
function joins(drains: readonly Drain[], pieceId: string): Drain | undefined {
  return drains.find(({ end }) => end.at === 'tee' && end.id === pieceId)
}

function fallOf(losses: readonly PieceLosses[], own: readonly FittingLoss[], water: Water): Fall {
  const frictions: FrictionLoss[] = []
  const fittings: FittingLoss[] = [...own]
  const tables: Pchip[] = []
  let shut = false
  for (const loss of losses) {
    if (loss.friction) frictions.push(loss.friction)
    fittings.push(...loss.fittings)
    if (loss.table) tables.push(loss.table)
    shut ||= loss.shut
  }
  return makeFall(makeLine(frictions, fittings), tables, shut, water)
}

function inletLosses({ inlet }: Drain, boreM: number, tradeSizeIn: number): FittingLoss[] {
  const of = (loss: Loss): FittingLoss => ({ boreM, loss, kind: 'fitting' })
  if (inlet.form === 'flush') return [of(entranceLoss('flush'))]
  const open = of(entranceLoss('projecting'))
  if (inlet.form === 'open') return [open]
  if (inlet.form === 'strainer') return [open, of(strainerLoss(inlet.openAreaRatio))]
  // A cap over the pipe turns the water as an elbow does (choice).
  return [open, of(threeKLoss('elbow-90', tradeSizeIn))]
}

/** A piece whose loss hangs on how the flows join. */
const AT_THE_JOINT: PieceLosses = { friction: null, fittings: [], table: null, shut: false }

/** An equal tee: which legs the trunk and what joins it come in by. */
function jointOf({ piece, boreBeforeM }: PlacedPiece): DrainJoint {
  const law = teeLaw(boreBeforeM, boreBeforeM)
  const form = piece.kind === 'tee' ? piece.form : 'side'
  if (form === 'side') return { law, own: 0, other: 2, out: 1 }
  return form === 'straight' ? { law, own: 2, other: 0, out: 1 } : { law, own: 0, other: 1, out: 2 }
}

/** What a tee costs the one drain that comes in by a leg, the other dry. */
function dryFitting({ law, out }: DrainJoint, leg: TeeLeg, boreM: number): FittingLoss {
  const straight = leg !== BRANCH && out !== BRANCH
  const turning = leg === BRANCH ? law.outOfBranch : law.intoBranch
  const loss = straight ? PAST_DRY_BRANCH : { km: TURNING_RE, k: turning }
  return { boreM, loss, kind: 'fitting' }
}

function dryTee(trunk: LaidDrain, from: 'own' | 'other', water: Water): Fall {
  const joint = trunk.joint!
  return fallOf([], [dryFitting(joint, joint[from], joint.law.runBoreM)], water)
}

function endLosses(
  drains: readonly Drain[],
  { run, end }: Drain,
  placed: readonly PlacedPiece[],
): FittingLoss[] {
  const last = placed.at(-1)
  if (last?.piece.kind === 'nozzle') return []
  const { boreM } = boreOf(last?.sizeAfter ?? run.size)
  if (end.at === 'chamber') return [openEnd(boreM)]
  const trunk = trunkOf(drains, end.id)
  const tee =
    trunk && layRun(trunk.run, trunk.inlet.place).placed.find(({ piece }) => piece.id === end.id)
  return tee ? adapterLosses(boreM, tee.boreBeforeM) : []
}
