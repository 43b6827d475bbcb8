import type { Vector } from '../jet/index.ts'
import { isInside, type RockSolid, type ZoneKind } from '../scene/index.ts'
import { holds } from './grid.ts'
import type { FlowDomain } from './flow-domain.ts'

/** What lies in the water of a tank, and how large the water is. */
export type Solids = Pick<
  FlowDomain,
  'rocks' | 'box' | 'sandDepthM' | 'lengthM' | 'widthM' | 'depthM'
>

/** A piece of a rock's or the sand's surface, by the water that it gets. */
export interface ZonePlace {
  /** In the water, so far off the surface as polyps reach. */
  readonly at: Vector
  readonly areaM2: number
}

/** Rock and sand are judged by the water so far off them: where polyps reach (choice). */
const POLYPS_M = 0.03
/** In a gap that is narrower it is halved so often. */
const HALVINGS = 4
/** A surface is looked at about once in a square of this side. */
const APART_M = 0.012

interface SurfacePiece {
  readonly on: Vector
  readonly normal: Vector
  readonly areaM2: number
}

/** Places all over a zone's rocks or its sand, those that lie bare in the water; the same on every grid. */
export function zonePlaces(solids: Solids, zone: ZoneKind): ZonePlace[] {
  const pieces =
    zone === 'sand'
      ? sandPieces(solids)
      : solids.rocks.flatMap((rock, own) =>
          rock.zone === zone ? rockPieces(rock).filter(({ on }) => isBare(solids, on, own)) : [],
        )
  return pieces.flatMap((piece) => placeOff(solids, piece))
}

function placeOff(solids: Solids, { on, normal, areaM2 }: SurfacePiece): ZonePlace[] {
  for (let halving = 0; halving <= HALVINGS; halving++) {
    const off = POLYPS_M / 2 ** halving
    const at = { x: on.x + off * normal.x, y: on.y + off * normal.y, z: on.z + off * normal.z }
    if (isBare(solids, at)) return [{ at, areaM2 }]
  }
  return []
}

/** Is a place in the water, but for one rock? */
function isBare(solids: Solids, { x, y, z }: Vector, but = -1): boolean {
  const { lengthM, widthM, depthM, sandDepthM, box, rocks } = solids
  if (x < 0 || y < 0 || x > lengthM || y > widthM || z < sandDepthM || z > depthM) return false
  if (box && holds(box, x, y, z)) return false
  return rocks.every((rock, i) => i === but || !isInside(rock, x, y, z))
}

const steps = (from: number, to: number) => {
  const count = Math.max(1, Math.round((to - from) / APART_M))
  const each = (to - from) / count
  return { each, middles: Array.from({ length: count }, (_, i) => from + (i + 0.5) * each) }
}

function sandPieces(solids: Solids): SurfacePiece[] {
  const { lengthM, widthM, sandDepthM } = solids
  if (sandDepthM <= 0) return []
  const x = steps(0, lengthM)
  const y = steps(0, widthM)
  const areaM2 = x.each * y.each
  return x.middles.flatMap((atX) =>
    y.middles.flatMap((atY) => {
      const on = { x: atX, y: atY, z: sandDepthM }
      return isBare(solids, on) ? [{ on, normal: { x: 0, y: 0, z: 1 }, areaM2 }] : []
    }),
  )
}

function rockPieces(rock: RockSolid): SurfacePiece[] {
  return rock.form === 'box' ? boxPieces(rock) : boulderPieces(rock)
}

function boxPieces({ xM, yM, zM, lengthM, widthM, heightM }: RockSolid): SurfacePiece[] {
  const from = [xM, yM, zM] as const
  const size = [lengthM, widthM, heightM] as const
  return [0, 1, 2].flatMap((axis) => {
    const [a, b] = [(axis + 1) % 3, (axis + 2) % 3]
    const alongA = steps(from[a]!, from[a]! + size[a]!)
    const alongB = steps(from[b]!, from[b]! + size[b]!)
    return [0, 1].flatMap((side) =>
      alongA.middles.flatMap((atA) =>
        alongB.middles.map((atB) => {
          const on = [0, 0, 0]
          const normal = [0, 0, 0]
          on[axis] = from[axis]! + side * size[axis]!
          on[a] = atA
          on[b] = atB
          normal[axis] = 2 * side - 1
          return {
            on: vector(on),
            normal: vector(normal),
            areaM2: alongA.each * alongB.each,
          }
        }),
      ),
    )
  })
}

const vector = ([x, y, z]: readonly number[]): Vector => ({ x: x!, y: y!, z: z! })

/** Turn from one place of a spiral over a sphere to the next, by which they lie evenly (golden angle). */
const GOLDEN = Math.PI * (3 - Math.sqrt(5))

/** Even over the unit sphere, each as large as the ellipsoid's surface is there: a b c |(u/a, v/b, w/c)| dΩ. */
function boulderPieces(rock: RockSolid): SurfacePiece[] {
  const [a, b, c] = [rock.lengthM / 2, rock.widthM / 2, rock.heightM / 2] as const
  const middle = { x: rock.xM + a, y: rock.yM + b, z: rock.zM + c }
  const largest = Math.max(a * b, b * c, a * c)
  const count = Math.max(60, Math.ceil((4 * Math.PI * largest) / APART_M ** 2))
  return Array.from({ length: count }, (_, i) => {
    const w = 1 - (2 * (i + 0.5)) / count
    const ring = Math.sqrt(1 - w * w)
    const u = ring * Math.cos(i * GOLDEN)
    const v = ring * Math.sin(i * GOLDEN)
    const size = Math.hypot(u / a, v / b, w / c)
    return {
      on: { x: middle.x + a * u, y: middle.y + b * v, z: middle.z + c * w },
      normal: { x: u / a / size, y: v / b / size, z: w / c / size },
      areaM2: (a * b * c * size * 4 * Math.PI) / count,
    }
  })
}
