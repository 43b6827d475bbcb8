import type { Vector } from '../jet/index.ts'
import { isInside, type RockSolid } from '../scene/index.ts'
import type { FlowDomain } from './flow-domain.ts'
import { offRock } from './rock-surface.ts'

/** A place on a rock's surface, and the area that it stands for. */
export interface RockPoint {
  readonly at: Vector
  /** Straight off the rock. */
  readonly out: Vector
  readonly areaM2: number
}

/** Where rocks stand. */
export type RockScene = Pick<FlowDomain, 'rocks' | 'lengthM' | 'widthM' | 'depthM' | 'sandDepthM'>

const APART_M = 0.01
/** On the smallest boulder. */
const LEAST_POINTS = 200
/** A turn of so much to the next place spreads them evenly over a sphere. */
const GOLDEN = Math.PI * (3 - Math.sqrt(5))

/** Places all over a rock, a centimetre apart, where water is: not under the sand, in another rock or behind a panel. */
export function rockPoints(rock: RockSolid, scene: RockScene): RockPoint[] {
  const { lengthM, widthM, depthM, sandDepthM } = scene
  const others = scene.rocks.filter((other) => other !== rock)
  const isWet = ({ at: { x, y, z } }: RockPoint) =>
    z > sandDepthM &&
    z < depthM &&
    x > 0 &&
    x < lengthM &&
    y > 0 &&
    y < widthM &&
    !others.some((other) => isInside(other, x, y, z))
  return (rock.form === 'boulder' ? onBoulder(rock) : onBox(rock)).filter(isWet)
}

/** Evenly over a sphere, each for as much as the stretch there makes of its share. */
function onBoulder(rock: RockSolid): RockPoint[] {
  const [a, b, c] = [rock.lengthM / 2, rock.widthM / 2, rock.heightM / 2]
  const widest = 4 * Math.PI * Math.max(a * b, b * c, a * c)
  const count = Math.max(LEAST_POINTS, Math.ceil(widest / APART_M ** 2))
  return Array.from({ length: count }, (_, i) => {
    const z = 1 - (2 * i + 1) / count
    const flat = Math.sqrt(1 - z * z)
    const x = flat * Math.cos(i * GOLDEN)
    const y = flat * Math.sin(i * GOLDEN)
    const at = { x: rock.xM + a + a * x, y: rock.yM + b + b * y, z: rock.zM + c + c * z }
    const areaM2 = ((4 * Math.PI) / count) * a * b * c * Math.hypot(x / a, y / b, z / c)
    return { at, out: offRock(rock, at).out, areaM2 }
  })
}

function onBox(rock: RockSolid): RockPoint[] {
  const sizes = [rock.lengthM, rock.widthM, rock.heightM]
  const from = [rock.xM, rock.yM, rock.zM]
  return [0, 1, 2].flatMap((axis) =>
    [0, 1].flatMap((side) => {
      const out = sizes.map((_, i) => (i === axis ? 2 * side - 1 : 0))
      const parts = sizes.map((size, i) =>
        i === axis ? 1 : Math.max(2, Math.round(size / APART_M)),
      )
      const areaM2 = sizes.reduce(
        (area, size, i) => (i === axis ? area : (area * size) / parts[i]!),
        1,
      )
      return placesIn(parts).map((place): RockPoint => {
        const at = sizes.map(
          (size, i) =>
            from[i]! + (i === axis ? side * size : ((place[i]! + 0.5) * size) / parts[i]!),
        )
        return { at: vector(at), out: vector(out), areaM2 }
      })
    }),
  )
}

/** Every place of a lattice of so many along each axis. */
function placesIn(parts: readonly number[]): number[][] {
  return parts.reduce<number[][]>(
    (places, count) =>
      places.flatMap((place) => Array.from({ length: count }, (_, i) => [...place, i])),
    [[]],
  )
}

const vector = ([x, y, z]: readonly number[]): Vector => ({ x: x!, y: y!, z: z! })
