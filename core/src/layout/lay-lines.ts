import {
  type BasinDesign,
  byId,
  type DisplayTank,
  partOf,
  type ReturnLine,
  surfaceM,
} from '../design/index.ts'
import { flatMap, memoizeWith } from '../numeric/index.ts'
import { boreOf } from '../pipe/index.ts'
import {
  adapterLosses,
  type FittingLoss,
  layRun,
  openEnd,
  type PieceLosses,
  type Point,
  samePoint,
} from '../run/index.ts'
import { cutLine, type LineCut } from './cut-line.ts'
import { type Port, portsOf, withPorts } from './device-ports.ts'
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
  (lines: readonly ReturnLine[], { outlets, ports }: Fixtures): FixedLines => {
    const tees = new Map<string, PlacedTee>()
    const laid: (FixedLine | undefined)[] = lines.map(() => undefined)
    for (let left = lines.length; left > 0;) {
      const before = left
      lines.forEach((line, index) => {
        if (laid[index]) return
        const start = startOf(outlets, line, tees)
        if (!start) return
        laid[index] = placed(line, index, start, ports)
        for (const tee of teesOf(lines, laid[index])) tees.set(tee.tee.id, tee)
        left--
      })
      if (left === before) throw new RangeError('a line of the design leads back to no pump')
    }
    const whole = laid.map((fixedLine) => withEnds(fixedLine!, tees, outlets))
    return { lines: whole, tees, cuts: whole.map((fixedLine) => cutLine(fixedLine, tees)) }
  },
  (before, now) =>
    before.outlets.length === now.outlets.length &&
    before.ports.length === now.ports.length &&
    before.outlets.every((outlet, i) => sameOutlet(outlet, now.outlets[i]!)) &&
    before.ports.every(
      ({ pieceId, boreM }, i) => pieceId === now.ports[i]!.pieceId && boreM === now.ports[i]!.boreM,
    ),
)

/** What lines are laid on beside themselves. */
interface Fixtures {
  readonly outlets: readonly Outlet[]
  readonly ports: readonly Port[]
}

/** A placed pump's outlet. */
interface Outlet {
  readonly id: string
  readonly at: Point
  readonly boreM: number
}

function sameOutlet(a: Outlet, b: Outlet): boolean {
  return a.id === b.id && a.boreM === b.boreM && samePoint(a.at, b.at)
}

function fixturesOf(design: BasinDesign): Fixtures {
  return {
    outlets: design.returnSide.pumps.map(({ id, pumpId, outlet }) => ({
      id,
      at: outlet,
      boreM: partOf(design, pumpId).outletBoreM,
    })),
    ports: portsOf(design),
  }
}

/** The same against the water of a design. */
export function layLines(design: BasinDesign): {
  readonly fixed: FixedLines
  readonly lines: readonly LaidLine[]
} {
  const fixed = fixLines(design.returnSide.lines, fixturesOf(design))
  return {
    fixed,
    lines: fixed.lines.map((line) => atHead(line, endOf(design, line.line, line.mouth))),
  }
}

function startOf(outlets: readonly Outlet[], { start }: ReturnLine, tees: Tees): Point | null {
  if (start.at === 'tee') return tees.get(start.id)?.place ?? null
  return byId(outlets, start.id, 'placed pump').at
}

function placed(line: ReturnLine, index: number, start: Point, ports: readonly Port[]): FixedLine {
  const laid = layRun(line.run, start)
  return { line, index, start, ...withPorts(laid, ports), startLosses: [], endLosses: [] }
}

function teesOf(lines: readonly ReturnLine[], { line, placed: pieces }: FixedLine): PlacedTee[] {
  return flatMap(pieces, ({ piece, to, boreBeforeM }) => {
    if (piece.kind !== 'tee') return []
    const leaves = lines.find(({ start }) => start.at === 'tee' && start.id === piece.id)
    const joins = lines.find(({ end }) => end.at === 'tee' && end.id === piece.id)
    const other = leaves
      ? { lineId: leaves.id, joins: false }
      : joins
        ? { lineId: joins.id, joins: true }
        : null
    return [{ tee: piece, lineId: line.id, place: to, boreM: boreBeforeM, other }]
  })
}

/** The line with what joins it to its neighbours at its two ends; where lines meet, the network knows the tee. */
function withEnds(laid: FixedLine, tees: Tees, outlets: readonly Outlet[]): FixedLine {
  const { start, run } = laid.line
  const firstM = boreOf(run.size).boreM
  const beforeM =
    start.at === 'tee' ? tees.get(start.id)!.boreM : byId(outlets, start.id, 'placed pump').boreM
  return {
    ...laid,
    losses: laid.placed.map(({ piece }, i) => {
      const meets = piece.kind === 'tee' && tees.get(piece.id)?.other
      return meets ? AT_THE_TEE : laid.losses[i]!
    }),
    startLosses: adapterLosses(beforeM, firstM),
    endLosses: endLossesOf(laid, tees),
  }
}

/** A piece whose loss hangs on how the flow divides. */
const AT_THE_TEE: PieceLosses = { friction: null, fittings: [], table: null, shut: false }

function endLossesOf({ line: { end, run }, placed: pieces }: FixedLine, tees: Tees): FittingLoss[] {
  const last = pieces.at(-1)
  const lastM = boreOf(last?.sizeAfter ?? run.size).boreM
  if (end.at === 'tee' && end.id !== null) return adapterLosses(lastM, tees.get(end.id)!.boreM)
  return end.at === 'cap' || last?.piece.kind === 'nozzle' ? [] : [openEnd(lastM)]
}

/** A line against the water at its end. */
export function atHead(fixed: FixedLine, { end, endHeadM }: LineEndHead): LaidLine {
  const { line, index, start, placed, losses, mouth, startLosses, endLosses } = fixed
  return { line, index, start, placed, losses, mouth, startLosses, endLosses, end, endHeadM }
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
