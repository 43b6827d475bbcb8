import {
  type BasinDesign,
  byId,
  type DisplayTank,
  type PlacedPump,
  type ReturnLine,
  surfaceM,
} from '../design/index.ts'
import { flatMap, memoizeWith } from '../numeric/index.ts'
import { boreOf } from '../pipe/index.ts'
import { layRun, openEnd, type Point, samePoint, teeLoss } from '../run/index.ts'
import { cutLine, type LineCut } from './cut-line.ts'
import type { FixedLine, LaidLine, PlacedTee, Tees } from './laid-line.ts'

/** All lines of a return side in their places, and the tees where they meet. */
export interface FixedLines {
  readonly lines: readonly FixedLine[]
  readonly tees: Tees
  /** Of each line: the stretches its tees cut it into. */
  readonly cuts: readonly (readonly LineCut[])[]
}

/**
 * Every line in its place, whatever the levels. A line that leaves a tee is laid when the line
 * that has the tee is; throws on lines that lead back to no pump (the contract refuses them
 * first). Laid anew only when a line or a pump's outlet changed.
 */
const fixLines = memoizeWith(
  (lines: readonly ReturnLine[], pumps: readonly PlacedPump[]): FixedLines => {
    const tees = new Map<string, PlacedTee>()
    const laid: (FixedLine | undefined)[] = lines.map(() => undefined)
    for (let left = lines.length; left > 0;) {
      const before = left
      lines.forEach((line, index) => {
        if (laid[index]) return
        const start = startOf(pumps, line, tees)
        if (!start) return
        laid[index] = placed(line, index, start)
        for (const tee of teesOf(lines, laid[index])) tees.set(tee.tee.id, tee)
        left--
      })
      if (left === before) throw new RangeError('a line of the design leads back to no pump')
    }
    const whole = laid.map((fixedLine) => withTees(fixedLine!, tees))
    return { lines: whole, tees, cuts: whole.map((fixedLine) => cutLine(fixedLine, tees)) }
  },
  (before, now) =>
    before === now ||
    (before.length === now.length &&
      before.every(({ id, outlet }, i) => id === now[i]!.id && samePoint(outlet, now[i]!.outlet))),
)

/** The same against the water of a design. */
export function layLines(design: BasinDesign): {
  readonly fixed: FixedLines
  readonly lines: readonly LaidLine[]
} {
  const { lines, pumps } = design.returnSide
  const fixed = fixLines(lines, pumps)
  return {
    fixed,
    lines: fixed.lines.map((line) => atHead(line, endOf(design, line.line, line.mouth))),
  }
}

function startOf(pumps: readonly PlacedPump[], { start }: ReturnLine, tees: Tees): Point | null {
  if (start.at === 'tee') return tees.get(start.id)?.place ?? null
  return byId(pumps, start.id, 'placed pump').outlet
}

function placed(line: ReturnLine, index: number, start: Point): FixedLine {
  return { line, index, start, ...layRun(line.run, start), startLoss: null, endLoss: null }
}

function teesOf(lines: readonly ReturnLine[], { line, placed: pieces }: FixedLine): PlacedTee[] {
  return flatMap(pieces, ({ piece, to }) => {
    if (piece.kind !== 'tee') return []
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
function withTees(laid: FixedLine, tees: Tees): FixedLine {
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
      : end.at === 'tee' || end.at === 'cap' || last?.piece.kind === 'nozzle'
        ? null
        : openEnd(lastBore.boreM),
  }
}

/** A line against the water at its end. */
export function atHead(fixed: FixedLine, { end, endHeadM }: LineEndHead): LaidLine {
  const { line, index, start, placed, losses, mouth, startLoss, endLoss } = fixed
  return { line, index, start, placed, losses, mouth, startLoss, endLoss, end, endHeadM }
}

type LineEndHead = Pick<LaidLine, 'end' | 'endHeadM'>

/** Where a line's mouth is and the head that counts there. */
export function endOf(design: BasinDesign, { end }: ReturnLine, mouth: Point): LineEndHead {
  if (end.at === 'tee' || end.at === 'cap') return { end: end.at, endHeadM: null }
  if (end.at === 'chamber') {
    const { levelM } = byId(design.sump.chambers, end.id, 'chamber')
    return inOrOver(mouth.zM, levelM)
  }
  const tank = byId(design.tanks, end.id, 'tank')
  if (!overItsTank(tank, mouth)) return { end: 'outside-tank', endHeadM: mouth.zM }
  return inOrOver(mouth.zM, surfaceM(tank))
}

/** Does a mouth stand in a tank or over it? */
export function overItsTank(tank: DisplayTank, { xM, yM, zM }: Point): boolean {
  return (
    xM >= tank.xM &&
    xM <= tank.xM + tank.lengthM &&
    yM >= tank.yM &&
    yM <= tank.yM + tank.widthM &&
    zM >= tank.floorHeightM
  )
}

function inOrOver(mouthM: number, levelM: number): LineEndHead {
  return mouthM >= levelM
    ? { end: 'above-water', endHeadM: mouthM }
    : { end: 'under-water', endHeadM: levelM }
}
