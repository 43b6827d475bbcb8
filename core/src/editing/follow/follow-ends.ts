import { applyEdits, type BasinDesign, type Drain, type Edit, setTo } from '../../design/index.ts'
import { waterAt } from '../../fluid/index.ts'
import { type LaidLine, layOut } from '../../layout/index.ts'
import { layDrains } from '../../loop/index.ts'
import type { Point, Run } from '../../run/index.ts'
import { type Stretched, stretchedBy } from '../stretch.ts'
import { standsOnFloor } from './follow-tanks.ts'
import { areWallsMoved, isMoved, isStill, STAYS, withItsChamber, withTank } from './shifts.ts'

/** What of a run gives so that it leads on: its riser, or what lies longest along the way; an axis along which nothing can stays. */
function leadOn({ pieces }: Run, by: Point): readonly Stretched[] {
  const axes = ['xM', 'yM', 'zM'] as const
  return axes.flatMap(
    (axis) => stretchedBy(pieces, { ...STAYS, [axis]: by[axis] }, 'longest') ?? [],
  )
}

const plus = (a: Point, b: Point): Point => ({
  xM: a.xM + b.xM,
  yM: a.yM + b.yM,
  zM: a.zM + b.zM,
})
const less = (a: Point, b: Point): Point => plus(a, { xM: -b.xM, yM: -b.yM, zM: -b.zM })

/** Did anything move that a run begins or ends at? */
export function areEndsMoved(before: BasinDesign, after: BasinDesign): boolean {
  if (areWallsMoved(before, after)) return true
  const pumps = before.returnSide.pumps
  return (
    after.tanks.some((tank) =>
      before.tanks.some((old) => old.id === tank.id && isMoved(old, tank)),
    ) ||
    after.returnSide.pumps.some(({ id, outlet }) =>
      pumps.some((old) => old.id === id && !isStill(less(outlet, old.outlet))),
    )
  )
}

/** The lips of a tank's drains go with its box: a tall pipe's with the crest, a low one's with the floor. */
export function followLips(before: BasinDesign, after: BasinDesign): Edit[] {
  return after.drains.flatMap((drain, i): Edit[] => {
    const old = before.tanks.find(({ id }) => id === drain.tankId)
    const tank = after.tanks.find(({ id }) => id === drain.tankId)
    const same = before.drains.some(({ inlet }) => inlet === drain.inlet)
    if (!old?.overflow?.box || !tank?.overflow?.box || !same || !isMoved(old, tank)) return []
    const { box } = old.overflow
    const middle = { xM: box.xM + box.lengthM / 2, yM: box.yM + box.widthM / 2 }
    const { xM, yM } = withTank({ ...middle, zM: 0 }, old, tank)
    const { place } = drain.inlet
    const overFloorM = place.zM - old.floorHeightM - box.floorM
    const underCrestM = old.floorHeightM + old.overflow.crestM - place.zM
    const isLow = standsOnFloor(old) && overFloorM < underCrestM
    const grownM = isLow ? 0 : tank.overflow.crestM - old.overflow.crestM
    const by = { xM, yM, zM: tank.floorHeightM - old.floorHeightM + grownM }
    return isStill(by) ? [] : [setTo(['drains', i, 'inlet', 'place'], plus(place, by))]
  })
}

/** Drains that are led on to where they came down, or to where that has gone; those that join others last. */
export function followDrains(before: BasinDesign, after: BasinDesign): Edit[] {
  const old = laidDrains(before)
  const edits: Edit[] = []
  const byTrunk = after.drains.toSorted(
    (a, b) => Number(a.end.at === 'tee') - Number(b.end.at === 'tee'),
  )
  for (const drain of byTrunk) {
    const index = after.drains.indexOf(drain)
    const was = old.find((laid) => laid.drain.id === drain.id && laid.drain.run === drain.run)
    if (!was || was.drain.end !== drain.end) continue
    const now = laidDrains(applyEdits(after, edits))
    const wanted = wantedMouth(drain, was.mouth, { before, after, old, now })
    for (const { piece, key, toM } of leadOn(drain.run, less(wanted, now[index]!.mouth))) {
      edits.push(setTo(['drains', index, 'run', 'pieces', piece, key], toM))
    }
  }
  return edits
}

type Laid = ReturnType<typeof layDrains>
const laidDrains = ({ drains, water }: BasinDesign): Laid => layDrains(drains, waterAt(water))

function wantedMouth(
  { end }: Drain,
  mouth: Point,
  { before, after, old, now }: { before: BasinDesign; after: BasinDesign; old: Laid; now: Laid },
): Point {
  if (end.at === 'chamber')
    return plus(mouth, withItsChamber(mouth, end.id, before.sump, after.sump))
  const [from, to] = [placeOf(old, end.id), placeOf(now, end.id)]
  return from && to ? plus(mouth, less(to, from)) : mouth
}

/** Where a piece stands among the runs that hold it. */
function placeOf(
  runs: readonly { placed: LaidLine['placed'] }[],
  pieceId: string,
): Point | undefined {
  return runs.flatMap(({ placed }) => placed).find(({ piece }) => piece.id === pieceId)?.from
}

/** Lines that are led on to where they ended, or to where that has gone; a line after the one it leaves. */
export function followLines(before: BasinDesign, after: BasinDesign): Edit[] {
  const old = layOut(before).lines
  const edits: Edit[] = []
  for (const index of inOrder(after)) {
    const line = after.returnSide.lines[index]!
    const was = old.find((laid) => laid.line.id === line.id && laid.line.run === line.run)
    if (!was || was.line.end !== line.end || line.end.at === 'cap') continue
    const now = layOut(applyEdits(after, edits)).lines
    const by = endShift(was, { before, after, old, now })
    const wanted = plus(was.mouth, by)
    for (const { piece, key, toM } of leadOn(line.run, less(wanted, now[index]!.mouth))) {
      edits.push(setTo(['returnSide', 'lines', index, 'run', 'pieces', piece, key], toM))
    }
    if (line.end.place && !isStill(by)) {
      const at = ['returnSide', 'lines', index, 'end', 'place'] as const
      edits.push(setTo(at, plus(line.end.place, by)))
    }
  }
  return edits
}

/** How far the place where a line ends has gone. */
function endShift(
  { line: { end }, mouth }: LaidLine,
  at: {
    readonly before: BasinDesign
    readonly after: BasinDesign
    readonly old: readonly LaidLine[]
    readonly now: readonly LaidLine[]
  },
): Point {
  if (end.at === 'tank') {
    const [old, tank] = [at.before, at.after].map(({ tanks }) =>
      tanks.find(({ id }) => id === end.id),
    )
    return old && tank ? withTank(mouth, old, tank) : STAYS
  }
  if (end.at === 'chamber') return withItsChamber(mouth, end.id!, at.before.sump, at.after.sump)
  const [from, to] = [placeOf(at.old, end.id!), placeOf(at.now, end.id!)]
  return from && to ? less(to, from) : STAYS
}

/** The lines' places in the design, those from a pump first, then what leaves them. */
function inOrder({ returnSide: { lines } }: BasinDesign): number[] {
  const held = new Map(lines.flatMap(({ run }, i) => run.pieces.map(({ id }) => [id, i] as const)))
  const depthOf = (i: number): number => {
    const { start } = lines[i]!
    const from = start.at === 'tee' ? held.get(start.id) : undefined
    return from === undefined ? 0 : 1 + depthOf(from)
  }
  return lines.map((_, i) => i).toSorted((a, b) => depthOf(a) - depthOf(b))
}
