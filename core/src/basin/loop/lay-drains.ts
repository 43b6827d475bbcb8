import { makeFall, type Fall } from '../../drain/fall.ts'
import { entranceLoss, strainerLoss } from '../../fitting/opening.ts'
import type { Loss } from '../../fitting/loss.ts'
import { threeKLoss } from '../../fitting/three-k.ts'
import type { Water } from '../../fluid/water.ts'
import { makeLine } from '../../network/line.ts'
import type { Pchip } from '../../numeric/pchip.ts'
import { boreOf } from '../../pipe/size.ts'
import {
  openEnd,
  pieceLosses,
  teeLoss,
  type FittingLoss,
  type FrictionLoss,
  type PieceLosses,
} from '../../run/losses.ts'
import { mouthOf, placePieces, type PlacedPiece, type Point } from '../../run/path.ts'
import type { BasinDesign } from '../design.ts'
import type { Drain } from '../overflow.ts'

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

/** The valves of a drain stand as the keeper set them. */
export function layDrains(design: BasinDesign, water: Water): LaidDrain[] {
  return design.drains.map((drain, index) => layDrain(design.drains, drain, index, water))
}

function layDrain(drains: readonly Drain[], drain: Drain, index: number, water: Water): LaidDrain {
  const { run, inlet, end } = drain
  const placed = placePieces(run, inlet.place)
  const losses = placed.map((one) => pieceLosses(one, run))
  const first = boreOf(run.size)
  const trunk = end.at === 'tee' ? trunkOf(drains, end.id) : undefined
  const joinAt = placed.findIndex(({ piece }) => joins(drains, piece.id))
  const stretch = (from: number, to: number, own: readonly FittingLoss[]): Fall =>
    fallOf(losses.slice(from, to), own, water)
  const start = inletLosses(drain, first.boreM, first.tradeSizeIn)
  const last = endLosses(drains, drain, placed)
  const cut = joinAt < 0 ? placed.length : joinAt + 1
  const member = joinAt < 0 ? undefined : joins(drains, placed[joinAt]!.piece.id)
  return {
    drain,
    index,
    placed,
    losses,
    boreM: first.boreM,
    lipM: inlet.place.zM,
    mouth: mouthOf(placed, inlet.place),
    before: stretch(0, cut, joinAt < 0 ? [...start, ...last] : start),
    after: joinAt < 0 ? null : stretch(cut, placed.length, last),
    trunkId: trunk?.id ?? null,
    memberId: member?.id ?? null,
    chamberId: trunk ? trunk.end.id : end.id,
  }
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
  for (const one of losses) {
    if (one.friction) frictions.push(one.friction)
    fittings.push(...one.fittings)
    if (one.table) tables.push(one.table)
    shut ||= one.shut
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
