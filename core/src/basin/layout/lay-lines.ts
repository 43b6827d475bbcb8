import { boreOf } from '../../pipe/size.ts'
import {
  openEnd,
  pieceLosses,
  teeLoss,
  type FittingLoss,
  type PieceLosses,
} from '../../run/losses.ts'
import { mouthOf, placePieces, type PlacedPiece, type Point } from '../../run/path.ts'
import type { TeePiece } from '../../run/piece.ts'
import { byId, surfaceM, type BasinDesign, type ReturnLine } from '../design.ts'

/** How a line ends: in air or under water in its tank or chamber, not over its tank at all, in a tee, or capped. */
export type RunEnd = 'above-water' | 'under-water' | 'outside-tank' | 'tee' | 'cap'

/** A tee in its place, with the line that has it among its pieces. */
export interface PlacedTee {
  readonly tee: TeePiece
  readonly lineId: string
  readonly place: Point
  /** The other line that meets it here; null: plugged. */
  readonly other: { readonly lineId: string; readonly joins: boolean } | null
}

/** A line with every piece placed and its losses known. */
export interface LaidLine {
  readonly line: ReturnLine
  /** Its place in the design's list. */
  readonly index: number
  readonly start: Point
  readonly placed: readonly PlacedPiece[]
  readonly losses: readonly PieceLosses[]
  /** What the tee it leaves costs it; null at a pump. */
  readonly startLoss: FittingLoss | null
  /** An open pipe's exit, or the tee it ends in; null at a nozzle or a cap. */
  readonly endLoss: FittingLoss | null
  readonly mouth: Point
  readonly end: RunEnd
  /** Head that counts at its end, above the room's floor; null at a tee or a cap. */
  readonly endHeadM: number | null
}

/** The tees of a design by their ids, with the line that meets each. */
export type Tees = ReadonlyMap<string, PlacedTee>

/**
 * Every line in its place. A line that leaves a tee is laid when the line that has the tee is;
 * throws on lines that lead back to no pump (the contract refuses them first).
 */
export function layLines(design: BasinDesign): { lines: LaidLine[]; tees: Tees } {
  const { lines } = design.returnSide
  const tees = new Map<string, PlacedTee>()
  const laid: (LaidLine | undefined)[] = lines.map(() => undefined)
  for (let left = lines.length; left > 0;) {
    const before = left
    lines.forEach((line, index) => {
      if (laid[index]) return
      const start = startOf(design, line, tees)
      if (!start) return
      laid[index] = placed(design, line, index, start)
      for (const tee of teesOf(design, laid[index])) tees.set(tee.tee.id, tee)
      left--
    })
    if (left === before) throw new RangeError('a line of the design leads back to no pump')
  }
  const whole = laid.map((one) => withTees(one!, tees))
  return { lines: whole, tees }
}

function startOf(design: BasinDesign, { start }: ReturnLine, tees: Tees): Point | null {
  if (start.at === 'tee') return tees.get(start.id)?.place ?? null
  return byId(design.returnSide.pumps, start.id, 'placed pump').outlet
}

function placed(design: BasinDesign, line: ReturnLine, index: number, start: Point): LaidLine {
  const pieces = placePieces(line.run, start)
  const mouth = mouthOf(pieces, start)
  return {
    line,
    index,
    start,
    placed: pieces,
    losses: pieces.map((one) => pieceLosses(one, line.run)),
    startLoss: null,
    endLoss: null,
    mouth,
    ...endOf(design, line, mouth),
  }
}

function teesOf(design: BasinDesign, { line, placed: pieces }: LaidLine): PlacedTee[] {
  return pieces.flatMap(({ piece, to }) => {
    if (piece.kind !== 'tee') return []
    const { lines } = design.returnSide
    const leaves = lines.find(({ start }) => start.at === 'tee' && start.id === piece.id)
    const joins = lines.find(({ end }) => end.at === 'tee' && end.id === piece.id)
    const other = leaves
      ? { lineId: leaves.id, joins: false }
      : joins
        ? { lineId: joins.id, joins: true }
        : null
    return [{ tee: piece, lineId: line.id, place: to, other }]
  })
}

/** The line with the losses of the tees at its two ends. */
function withTees(laid: LaidLine, tees: Tees): LaidLine {
  const { start, end, run } = laid.line
  const first = boreOf(run.size)
  const last = laid.placed.at(-1)
  const from = start.at === 'tee' ? tees.get(start.id) : undefined
  const into = end.at === 'tee' && end.id !== null ? tees.get(end.id) : undefined
  const lastBore = boreOf(last?.sizeAfter ?? run.size)
  return {
    ...laid,
    startLoss: from ? teeLoss(from.tee.form, 'other', first.boreM, first.tradeSizeIn) : null,
    endLoss: into
      ? teeLoss(into.tee.form, 'other', lastBore.boreM, lastBore.tradeSizeIn)
      : laid.endHeadM === null || last?.piece.kind === 'nozzle'
        ? null
        : openEnd(lastBore.boreM),
  }
}

/** Where a line's mouth is and the head that counts there. */
export function endOf(
  design: BasinDesign,
  { end }: ReturnLine,
  mouth: Point,
): { end: RunEnd; endHeadM: number | null } {
  if (end.at === 'tee' || end.at === 'cap') return { end: end.at, endHeadM: null }
  if (end.at === 'chamber') {
    const { levelM } = byId(design.sump.chambers, end.id, 'chamber')
    return inOrOver(mouth.zM, levelM)
  }
  const tank = byId(design.tanks, end.id, 'tank')
  const over =
    mouth.xM >= tank.xM &&
    mouth.xM <= tank.xM + tank.lengthM &&
    mouth.yM >= tank.yM &&
    mouth.yM <= tank.yM + tank.widthM
  if (!over || mouth.zM < tank.floorHeightM) return { end: 'outside-tank', endHeadM: mouth.zM }
  return inOrOver(mouth.zM, surfaceM(tank))
}

function inOrOver(mouthM: number, levelM: number): { end: RunEnd; endHeadM: number } {
  return mouthM >= levelM
    ? { end: 'above-water', endHeadM: mouthM }
    : { end: 'under-water', endHeadM: levelM }
}
