import type { Drain } from '../design/index.ts'
import { type Fall, inSeries, makeFall } from '../drain/index.ts'
import { entranceLoss, type Loss, strainerLoss, threeKLoss } from '../fitting/index.ts'
import type { Water } from '../fluid/index.ts'
import { makeLine } from '../network/index.ts'
import { memoizeWith, type Pchip } from '../numeric/index.ts'
import { boreOf } from '../pipe/index.ts'
import {
  type FittingLoss,
  type FrictionLoss,
  layRun,
  openEnd,
  pieceLosses,
  type PieceLosses,
  type PlacedPiece,
  type Point,
  teeLoss,
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
  readonly lipM: number
  readonly mouth: Point
  /** From its inlet to its end, or to where another joins. */
  readonly before: Fall
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
      return {
        ...laid,
        alone: inSeries(laid.alone, trunk.after),
        aloneOpen: inSeries(laid.aloneOpen, trunk.after),
      }
    })
  },
  Object.is,
)

function layDrain(drains: readonly Drain[], drain: Drain, index: number, water: Water): LaidDrain {
  const { run, inlet, end } = drain
  const { placed, losses, mouth } = layRun(run, inlet.place)
  const first = boreOf(run.size)
  const joinAt = placed.findIndex(({ piece }) => joins(drains, piece.id))
  const cut = joinAt < 0 ? placed.length : joinAt + 1
  const start = inletLosses(drain, first.boreM, first.tradeSizeIn)
  const last = endLosses(drains, drain, placed)
  const before = fallOf(losses.slice(0, cut), joinAt < 0 ? [...start, ...last] : start, water)
  const after = joinAt < 0 ? null : fallOf(losses.slice(cut), last, water)
  const alone = after ? inSeries(before, after) : before
  const open = openedLosses(placed, losses, run)
  return {
    drain,
    index,
    placed,
    losses,
    boreM: first.boreM,
    lipM: inlet.place.zM,
    mouth,
    before,
    after,
    alone,
    aloneOpen: open === losses ? alone : fallOf(open, [...start, ...last], water),
    trunkId: end.at === 'tee' ? (trunkOf(drains, end.id)?.id ?? null) : null,
    memberId: joinAt < 0 ? null : joins(drains, placed[joinAt]!.piece.id)!.id,
    chamberId: end.at === 'tee' ? trunkOf(drains, end.id)!.end.id : end.id,
  }
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
  const of = (loss: Loss): FittingLoss => ({ boreM, loss, exit: false })
  if (inlet.form === 'flush') return [of(entranceLoss('flush'))]
  const open = of(entranceLoss('projecting'))
  if (inlet.form === 'open') return [open]
  if (inlet.form === 'strainer') return [open, of(strainerLoss(inlet.openAreaRatio))]
  // A cap over the pipe turns the water as an elbow does (choice).
  return [open, of(threeKLoss('elbow-90', tradeSizeIn))]
}

function endLosses(
  drains: readonly Drain[],
  { run, end }: Drain,
  placed: readonly PlacedPiece[],
): FittingLoss[] {
  const last = placed.at(-1)
  if (last?.piece.kind === 'nozzle') return []
  const { boreM, tradeSizeIn } = boreOf(last?.sizeAfter ?? run.size)
  if (end.at === 'chamber') return [openEnd(boreM)]
  const tee = trunkOf(drains, end.id)?.run.pieces.find((piece) => piece.id === end.id)
  return tee?.kind === 'tee' ? [teeLoss(tee.form, 'other', boreM, tradeSizeIn)] : []
}
