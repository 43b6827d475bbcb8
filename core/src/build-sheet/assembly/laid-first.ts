import type { BasinDesign } from '../../design/index.ts'
import { memoize } from '../../numeric/index.ts'
import { placesOf } from '../places.ts'
import { plumbingOf } from '../plumbing.ts'
import {
  fittingRadiusOf,
  panelsOf,
  radiusOf,
  type Range,
  type Slab,
  tankPanels,
} from '../reach/solid.ts'
import { isHeld, jointGraph } from './graph.ts'
import { type SubAssembly, subAssemblies } from './sub-assemblies.ts'

/** A sub-assembly that can't be put where it belongs once a tank stands, and that tank. */
export interface LaidFirst {
  readonly piece: SubAssembly
  readonly tankId: string
  /** Its lower end hangs in the sump, which therefore stands first too. */
  readonly isInSump: boolean
}

/** Things that touch do not hold each other, m. */
const TOUCH_M = 0.002
const FAR_M = 100
/** Under it nothing goes. */
const ROOM_FLOOR: Slab = [
  [-FAR_M, FAR_M],
  [-FAR_M, FAR_M],
  [-FAR_M, 0],
]

/**
 * Sub-assemblies that go in before a tank is lifted: with it, the sump and the floor about, they can be drawn
 * straight out in none of six directions, nor lifted as far as they go and then drawn aside; without it they can.
 */
export const laidFirst = memoize((design: BasinDesign): readonly LaidFirst[] => {
  const sump = design.sump.box ? panelsOf(design.sump.box) : []
  const about = [ROOM_FLOOR, ...sump]
  const shapeOf = shapes(design)
  const { parts } = jointGraph(design)
  return subAssemblies(design).all.flatMap((piece): LaidFirst[] => {
    const isInPlace = piece.parts.some((at) => isHeld(parts[at]!))
    if (piece.threads.length + piece.glue.length === 0 || isInPlace) return []
    const shape = shapeOf(piece)
    return design.tanks.flatMap((tank): LaidFirst[] => {
      const withTank = [...about, ...tankPanels(tank)]
      if (comesOut(shape, withTank) || !comesOut(shape, about)) return []
      const isInSump =
        !comesOut(
          shape,
          withTank.filter((slab) => !sump.includes(slab)),
        ) || reaches(shape, sump)
      return [{ piece, tankId: tank.id, isInSump }]
    })
  })
})

/** Below the sump's rim and between its sides. */
function reaches(shape: readonly Slab[], sump: readonly Slab[]): boolean {
  const [floor, side] = sump
  if (!floor || !side) return false
  const inside: Slab = [floor[0], floor[1], side[2]]
  return shape.some((slab) => meet(slab, inside))
}

/** What a sub-assembly takes of the room, as upright boxes round its pipes and fittings. */
function shapes(design: BasinDesign): (piece: SubAssembly) => Slab[] {
  const { parts } = jointGraph(design)
  const routes = plumbingOf(design).routes.map((route) => ({ route, places: placesOf(route) }))
  return (piece) =>
    piece.parts.flatMap((at): Slab[] => {
      const { routeId, segmentId, body } = parts[at]!
      const found = routes.find(({ route }) => route.id === routeId)
      if (!found) return []
      const { route, places } = found
      if (body) {
        const place = places[route.bodies.indexOf(body)]
        return place ? [round(place, place, fittingRadiusOf(body))] : []
      }
      const i = route.segments.findIndex(({ id }) => id === segmentId)
      if (i < 0) return []
      return [round(places[i]!, places[i + 1]!, radiusOf(route.segments[i]!.size))]
    })
}

type Place = ReturnType<typeof placesOf>[number]

const round = (a: Place, b: Place, byM: number): Slab => [
  [Math.min(a.xM, b.xM) - byM, Math.max(a.xM, b.xM) + byM],
  [Math.min(a.yM, b.yM) - byM, Math.max(a.yM, b.yM) + byM],
  [Math.min(a.zM, b.zM) - byM, Math.max(a.zM, b.zM) + byM],
]

const overlap = (a: Range, b: Range) => Math.min(a[1], b[1]) - Math.max(a[0], b[0]) > TOUCH_M
const meet = (a: Slab, b: Slab) => a.every((range, axis) => overlap(range, b[axis]!))

/** Six directions: an axis, and which way along it. */
const DIRECTIONS = [0, 1, 2].flatMap((axis) => [[axis, 1] as const, [axis, -1] as const])

/** Is there a way out: straight, or lifted and then aside? What it passes through as it stands is a hole, and no hindrance. */
export function comesOut(shape: readonly Slab[], about: readonly Slab[]): boolean {
  const others = about.filter((slab) => !shape.some((own) => meet(own, slab)))
  if (DIRECTIONS.some(([axis, way]) => isFree(shape, others, axis, way))) return true
  const liftM = liftOf(shape, others)
  const lifted = shape.map(([x, y, [from, to]]): Slab => [x, y, [from + liftM, to + liftM]])
  return DIRECTIONS.some(([axis, way]) => axis < 2 && isFree(lifted, others, axis, way))
}

function isFree(
  shape: readonly Slab[],
  others: readonly Slab[],
  axis: number,
  way: 1 | -1,
): boolean {
  return shape.every((own) => {
    const swept = own.map((range, i): Range =>
      i !== axis ? range : way > 0 ? [range[0], FAR_M] : [-FAR_M, range[1]],
    ) as unknown as Slab
    return !others.some((other) => meet(swept, other))
  })
}

/** How far it goes up until something over it stops it, m. */
function liftOf(shape: readonly Slab[], others: readonly Slab[]): number {
  let leastM = FAR_M
  for (const own of shape)
    for (const other of others)
      if (
        overlap(own[0], other[0]) &&
        overlap(own[1], other[1]) &&
        other[2][0] >= own[2][1] - TOUCH_M
      )
        leastM = Math.min(leastM, Math.max(0, other[2][0] - own[2][1]))
  return leastM
}
