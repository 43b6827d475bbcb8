import {
  type BasinDesign,
  chamberSpans,
  type DisplayTank,
  type Drain,
  type DrainRole,
  type OverflowBox,
  type Sump,
} from '../../design/index.ts'
import { FILLED, ventedFlow } from '../../drain/index.ts'
import { roomFor } from '../../fitting/index.ts'
import {
  boreAreaM2,
  boreOf,
  isHose,
  measureOf,
  type PipeSeries,
  type PipeSize,
  SERIES_SIZES,
  sizesIn,
} from '../../pipe/index.ts'
import { toMillimetre } from '../../quantity/index.ts'
import type { Piece, Point, Run } from '../../run/index.ts'
import { judgedSize } from './judged-size.ts'
import { DRAIN_SCHOOLS, type DrainSchool } from './schools.ts'

/** What drains are laid for: a school, a flow, the chamber they end in. */
export interface DrainWish {
  readonly tankId: string
  readonly school: DrainSchool
  readonly chamberId: string
  /** Family of rigid pipe. */
  readonly series: PipeSeries
  /** What the return brings into the tank. */
  readonly flowM3PerS: number
}

/** What one of them is laid for. */
type PipeWish = Pick<DrainWish, 'series' | 'flowM3PerS'>

/** Rigid pipe in the place of hose that somebody had (choice). */
export const RIGID: PipeSeries = 'schedule-40'
/** A pipe is laid for no less, m³/s. */
const LEAST_FLOW_M3_PER_S = 1e-5
/** A new siphon runs no faster than this, m/s (choice). */
const SIPHON_M_PER_S = 1.2
/** Lips below the crest, m (choice). */
const LIP_BELOW_CREST_M: Readonly<Record<DrainRole, number>> = {
  siphon: 0.22,
  trickle: 0.07,
  vented: 0.09,
  emergency: 0.035,
}
/** No lip nearer to the box's floor than this. */
const LIP_OVER_FLOOR_M = 0.02
/** A siphon ends so far under its chamber's water, m (choice). */
const UNDER_WATER_M = 0.025
/** The others end so far over it. */
const OVER_WATER_M = 0.03
/** From a box's floor down to the first turn. */
const BELOW_BOX_M = 0.12
/** Above its end, a run goes straight down for this much. */
const DOWN_TO_END_M = 0.1
const NEW_PIPE = { roughnessM: 1.5e-6, ribbedFactor: 2 }

/** The pipes of a school, from a tank's box to a chamber; throws without a box. */
export function newDrains(design: BasinDesign, wish: DrainWish): Drain[] {
  const tank = design.tanks.find(({ id }) => id === wish.tankId)
  const box = tank?.overflow?.box
  if (!tank || !box) throw new RangeError(`tank ${wish.tankId} has no box for drains`)
  const { roles } = DRAIN_SCHOOLS.find(({ school }) => school === wish.school)!
  const end = endOf(design.sump, wish.chamberId)
  return roles.map((role, n) =>
    newDrain(design, { tank, box, role, place: { n, of: roles.length }, end, wish }),
  )
}

/** Where a pipe that is laid anew comes down, and what comes. */
export type LaidFor = Pick<DrainWish, 'chamberId' | 'flowM3PerS'>

/** A pipe laid anew for what comes: its name, landing and family of pipe stay; place, size and way are the judge's. */
export function laidAnew(design: BasinDesign, drain: Drain, to: LaidFor): Drain {
  const tank = design.tanks.find(({ id }) => id === drain.tankId)
  const box = tank?.overflow?.box
  if (!tank || !box) throw new RangeError(`tank ${drain.tankId} has no box for drains`)
  const all = design.drains.filter(({ tankId }) => tankId === tank.id)
  const n = all.findIndex(({ id }) => id === drain.id)
  const end = endOf(design.sump, to.chamberId)
  const { series: own } = drain.run.size
  const series = isHose(own) ? RIGID : own
  const wish: PipeWish = { series, flowM3PerS: Math.max(LEAST_FLOW_M3_PER_S, to.flowM3PerS) }
  const place = { n, of: all.length }
  const made = newDrain(design, { tank, box, role: drain.role, place, end, wish })
  const { id, name } = drain
  const pieces = made.run.pieces.map((piece, i) => ({ ...piece, id: `${id}-${i + 1}` }))
  return {
    ...made,
    id,
    name,
    run: { ...made.run, pieces },
    end: { ...made.end, landing: drain.end.landing },
  }
}

/** One more pipe of a role, beside those that are there. */
export function oneMoreDrain(design: BasinDesign, wish: DrainWish, role: DrainRole): Drain {
  const tank = design.tanks.find(({ id }) => id === wish.tankId)
  const box = tank?.overflow?.box
  if (!tank || !box) throw new RangeError(`tank ${wish.tankId} has no box for drains`)
  const n = design.drains.filter(({ tankId }) => tankId === tank.id).length
  const end = endOf(design.sump, wish.chamberId)
  const made = newDrain(design, { tank, box, role, place: { n, of: n + 1 }, end, wish })
  return unlike(made, new Set(design.drains.map(({ id }) => id)))
}

function unlike(drain: Drain, taken: ReadonlySet<string>): Drain {
  let n = 2
  while (taken.has(drain.id) && taken.has(`${drain.id}-${n}`)) n++
  if (!taken.has(drain.id)) return drain
  const id = `${drain.id}-${n}`
  const pieces = drain.run.pieces.map((piece, i) => ({ ...piece, id: `${id}-${i + 1}` }))
  return { ...drain, id, name: `${drain.name} ${n}`, run: { ...drain.run, pieces } }
}

/** Where in its chamber a drain should come down. */
function endOf(sump: Sump, chamberId: string): { id: string; at: Point } {
  const index = Math.max(
    0,
    sump.chambers.findIndex(({ id }) => id === chamberId),
  )
  const { id, levelM } = sump.chambers[index]!
  if (!sump.box) return { id, at: { xM: 0.2, yM: 0.2, zM: levelM } }
  const { fromM, toM } = chamberSpans(sump, sump.box.lengthM)[index]!
  const { xM, yM, widthM, floorHeightM } = sump.box
  // The level a chamber runs at is held by the wall that its water leaves over.
  const wall = sump.walls[index] ?? sump.walls[index - 1]
  const levelOverFloor = wall && wall.kind !== 'under' ? wall.topM : levelM - floorHeightM
  return {
    id,
    at: { xM: xM + (fromM + toM) / 2, yM: yM + widthM / 2, zM: floorHeightM + levelOverFloor },
  }
}

function newDrain(
  design: BasinDesign,
  {
    tank,
    box,
    role,
    place: { n, of },
    end,
    wish,
  }: {
    readonly tank: DisplayTank
    readonly box: OverflowBox
    readonly role: DrainRole
    readonly place: { n: number; of: number }
    readonly end: { id: string; at: Point }
    readonly wish: PipeWish
  },
): Drain {
  const id = `${tank.id}-${role}`
  const share = (n + 1) / (of + 1)
  const alongX = box.lengthM >= box.widthM
  const floorM = tank.floorHeightM + box.floorM
  const place: Point = {
    xM: box.xM + box.lengthM * (alongX ? share : 0.5),
    yM: box.yM + box.widthM * (alongX ? 0.5 : share),
    zM: Math.max(
      floorM + LIP_OVER_FLOOR_M,
      tank.floorHeightM + tank.overflow!.crestM - LIP_BELOW_CREST_M[role],
    ),
  }
  const endM = end.at.zM + (role === 'siphon' ? -UNDER_WATER_M : OVER_WATER_M)
  // Pipes that come down in one chamber stand side by side.
  const to: Point = { ...end.at, xM: end.at.xM + (n - (of - 1) / 2) * 0.05, zM: endM }
  const laidIn = (size: PipeSize): Drain => ({
    id,
    name: ROLE_NAME[role],
    tankId: tank.id,
    role,
    inlet: { form: role === 'siphon' ? 'turned-down' : 'open', place, openAreaRatio: 2 },
    run: routed(id, { from: place, to, turnM: floorM - BELOW_BOX_M - n * 0.06, size, role }),
    end: { at: 'chamber', id: end.id, landing: 'open' },
    keepsMatch: role === 'siphon',
  })
  // A trickle takes what the siphon leaves: it needs no judging by the whole flow.
  if (role === 'trickle') return laidIn(drainSize(wish.series, role, wish.flowM3PerS))
  const isInside = tank.overflow!.form === 'inner-box'
  const rimM = tank.floorHeightM + (isInside ? tank.rimM : box.rimM)
  const outM = Math.max(endM, end.at.zM)
  const { flowM3PerS } = wish
  return laidIn(judgedSize(wish.series, laidIn, { design, tank, rimM, outM, flowM3PerS }))
}

const ROLE_NAME: Readonly<Record<DrainRole, string>> = {
  siphon: 'Siphon',
  vented: 'Standpipe',
  trickle: 'Trickle',
  emergency: 'Emergency',
}

/** The smallest size of a family that carries a drain's flow quietly; its largest where none does. */
export function drainSize(series: PipeSeries, role: DrainRole, flowM3PerS: number): PipeSize {
  const sizes = SERIES_SIZES[series]
  const carries = (boreM: number) =>
    role === 'vented'
      ? ventedFlow(boreM, FILLED.usual) >= flowM3PerS
      : boreAreaM2(boreM) * SIPHON_M_PER_S >= flowM3PerS
  const found = sizes.find(({ boreM }) => carries(boreM) && boreM >= 0.02) ?? sizes.at(-1)!
  return { series, size: found.size, boreM: null }
}

/** Straight down out of the box, across to its chamber, and down into it. */
function routed(
  id: string,
  {
    from,
    to,
    turnM,
    size,
    role,
  }: {
    readonly from: Point
    readonly to: Point
    readonly turnM: number
    readonly size: PipeSize
    readonly role: DrainRole
  },
): Run {
  const acrossX = to.xM - from.xM
  const acrossY = to.yM - from.yM
  const turn = Math.min(Math.max(turnM, to.zM + DOWN_TO_END_M), from.zM - 0.05)
  const undone: Unnamed[] = role === 'siphon' ? [gate, union] : [union]
  const falls = role === 'vented' || role === 'trickle'
  const level = crossing(acrossX, acrossY)
  const pieces: Unnamed[] = pipe('down', from.zM - turn)
  if (falls && Math.hypot(acrossX, acrossY) > 0.02) {
    pieces.push(...undone, ...fallingHose(acrossX, acrossY, to.zM - turn))
  } else if (level.length === 0) {
    pieces.push(...undone, ...pipe('down', turn - to.zM))
  } else if (isRoomFor(role, size, turn - to.zM)) {
    // Below the box there is seldom room for what is undone: it stands over the sump.
    pieces.push(...level, elbow, ...undone, ...pipe('down', turn - to.zM))
  } else {
    pieces.push(...undone, ...level, elbow, ...pipe('down', turn - to.zM))
  }
  return {
    size: falls && !isHose(size.series) ? hoseLike(size) : size,
    ...NEW_PIPE,
    pieces: pieces.map((piece, i) => ({ ...piece, id: `${id}-${i + 1}` })),
  }
}

/** A last drop takes its elbow, what is undone, and pipe to stand in its socket. */
function isRoomFor(role: DrainRole, size: PipeSize, dropM: number): boolean {
  const row = role === 'siphon' ? (['valve', 'union'] as const) : (['union'] as const)
  return dropM >= roomFor(['elbow-90', ...row, 'adapter'], size)
}

/** Level across the room, along it first and then from front to back, each after an elbow. */
export function crossing(acrossXM: number, acrossYM: number): Unnamed[] {
  const ways = [
    [acrossXM, 'right', 'left'],
    [acrossYM, 'back', 'front'],
  ] as const
  return ways.flatMap(([across, plus, minus]) =>
    Math.abs(across) < 0.02 ? [] : [elbow, ...pipe(across > 0 ? plus : minus, Math.abs(across))],
  )
}

/** A piece that has no id yet. */
export type Unnamed = Piece extends infer P ? (P extends Piece ? Omit<P, 'id'> : never) : never

const gate: Unnamed = { kind: 'valve', form: 'gate', opening: 1, kvM3PerH: null }
const union: Unnamed = { kind: 'union' }
const elbow: Unnamed = { kind: 'elbow', form: 'standard-90' }

function pipe(direction: 'down' | 'left' | 'right' | 'front' | 'back', lengthM: number): Unnamed[] {
  return lengthM > 0.001 ? [{ kind: 'pipe', direction, lengthM: toMillimetre(lengthM) }] : []
}

/** Water that runs down a wall must fall all the way: a hose does, a level pipe does not. */
function fallingHose(byXM: number, byYM: number, byZM: number): Unnamed[] {
  const lengthM = toMillimetre(Math.hypot(byXM, byYM, byZM) * 1.05)
  return [
    {
      kind: 'free-hose',
      lengthM,
      byXM: toMillimetre(byXM),
      byYM: toMillimetre(byYM),
      byZM: toMillimetre(byZM),
    },
  ]
}

/** The hose whose bore is nearest above a pipe's. */
function hoseLike(size: PipeSize): PipeSize {
  const { boreM } = boreOf(size)
  const hoses = sizesIn('smooth-hose', measureOf(size))
  const hose = hoses.find((known) => known.boreM >= boreM - 1e-6) ?? hoses.at(-1)!
  return { series: 'smooth-hose', size: hose.size, boreM: null }
}
