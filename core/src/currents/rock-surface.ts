import type { Vector } from '../jet/index.ts'
import type { RockSolid } from '../scene/index.ts'

/** How far a place is from a rock's surface, m, negative inside; and the way straight off it. */
export interface OffRock {
  readonly offM: number
  readonly out: Vector
}

/** Off the nearest of the rocks. */
export function offRocks(rocks: readonly RockSolid[], place: Vector): OffRock {
  let nearest: OffRock = { offM: Infinity, out: { x: 0, y: 0, z: 1 } }
  for (const rock of rocks) {
    const off = offRock(rock, place)
    if (off.offM < nearest.offM) nearest = off
  }
  return nearest
}

/** Exact off a box; off a boulder by the slope of its equation, exact at its surface. */
export function offRock(rock: RockSolid, { x, y, z }: Vector): OffRock {
  const half = { x: rock.lengthM / 2, y: rock.widthM / 2, z: rock.heightM / 2 }
  const from = { x: x - rock.xM - half.x, y: y - rock.yM - half.y, z: z - rock.zM - half.z }
  return rock.form === 'boulder' ? offBoulder(from, half) : offBox(from, half)
}

function offBoulder(from: Vector, half: Vector): OffRock {
  const ratio = Math.hypot(from.x / half.x, from.y / half.y, from.z / half.z)
  const slope = { x: from.x / half.x ** 2, y: from.y / half.y ** 2, z: from.z / half.z ** 2 }
  const steep = Math.hypot(slope.x, slope.y, slope.z)
  if (steep === 0) return { offM: -Math.min(half.x, half.y, half.z), out: { x: 0, y: 0, z: 1 } }
  const out = { x: slope.x / steep, y: slope.y / steep, z: slope.z / steep }
  return { offM: (ratio * (ratio - 1)) / steep, out }
}

function offBox(from: Vector, half: Vector): OffRock {
  const over = {
    x: Math.abs(from.x) - half.x,
    y: Math.abs(from.y) - half.y,
    z: Math.abs(from.z) - half.z,
  }
  const most = Math.max(over.x, over.y, over.z)
  if (most <= 0) {
    const way = (axis: 'x' | 'y' | 'z') => (over[axis] === most ? Math.sign(from[axis]) || 1 : 0)
    const x = way('x')
    const y = x === 0 ? way('y') : 0
    const z = x === 0 && y === 0 ? way('z') : 0
    return { offM: most, out: { x, y, z } }
  }
  const beyond = (axis: 'x' | 'y' | 'z') => Math.sign(from[axis]) * Math.max(0, over[axis])
  const to = { x: beyond('x'), y: beyond('y'), z: beyond('z') }
  const offM = Math.hypot(to.x, to.y, to.z)
  return { offM, out: { x: to.x / offM, y: to.y / offM, z: to.z / offM } }
}
