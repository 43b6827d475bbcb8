import { type Motion, motionAt } from '../../src/currents/field.ts'
import { type Grid, PANEL, ROCK, WATER } from '../../src/currents/grid.ts'
import { rockHold } from '../../src/currents/rock-hold.ts'
import { Lattice } from '../../src/lattice/lattice.ts'
import { SLIPS, STICKS } from '../../src/lattice/shape.ts'
import { aRock } from './a-domain.ts'

const SIZE = { cellsX: 40, cellsY: 36, cellsZ: 44 }
const MIDDLE = [19, 17, 21]
const STREAM = 0.04
const ROUND_ABOUT = 8

/**
 * A round rock in a stream that has just begun, so many cells in radius, its middle so far off a cell's
 * corner. Answers the speed so many radii from its middle, so far from where the stream meets it, over the
 * ideal stream's; the mean of all round.
 */
export function roundRockIn(
  radius: number,
  off: readonly number[],
): (far: number, degrees: number) => number {
  const middle = MIDDLE.map((at, i) => at + off[i]!)
  const motion = streaming(radius, middle)
  return (far, degrees) => {
    const from = (degrees * Math.PI) / 180
    let speed = 0
    for (let k = 0; k < ROUND_ABOUT; k++) {
      const turn = (2 * Math.PI * k) / ROUND_ABOUT
      const way = [
        Math.sin(from) * Math.cos(turn),
        Math.sin(from) * Math.sin(turn),
        -Math.cos(from),
      ]
      const [px, py, pz] = way.map((part, i) => middle[i]! + far * radius * part)
      const { x, y, z } = motionAt(motion, { x: px!, y: py!, z: pz! })
      speed += Math.hypot(x, y, z) / ROUND_ABOUT
    }
    const along = STREAM * Math.cos(from) * (1 - far ** -3)
    const across = STREAM * Math.sin(from) * (1 + far ** -3 / 2)
    return speed / Math.hypot(along, across)
  }
}

function streaming(radius: number, middle: readonly number[]): Motion {
  const [x, y, z] = middle.map((at) => at - radius)
  const rock = aRock({
    form: 'boulder',
    xM: x!,
    yM: y!,
    zM: z!,
    lengthM: 2 * radius,
    widthM: 2 * radius,
    heightM: 2 * radius,
  })
  const grid = gridRound(radius, middle)
  const { held, solid } = rockHold(grid, [rock])
  // the ideal stream slides without friction
  const kinds = grid.fill.map((what, cell) =>
    what === PANEL ? SLIPS : solid[cell] === 1 ? STICKS : 0,
  )
  const lattice = new Lattice({ ...SIZE, solid: kinds }, { tau: 0.502, smagorinsky: 0 })
  for (const own of held)
    lattice.hold({ ...own, figures: own.figures.map((figure, i) => (i % 6 === 5 ? 0 : figure)) })
  const still = new Float32Array(kinds.length)
  lattice.begin({ x: still, y: still, z: still.map(() => STREAM) })
  lattice.run(60)
  for (let step = 0; step < 100; step++) {
    lattice.step()
    lattice.keep()
  }
  const { readings, ...sums } = lattice.sums()
  const mean = (of: Float32Array) => of.map((sum) => sum / readings)
  return { grid, x: mean(sums.x), y: mean(sums.y), z: mean(sums.z) }
}

function gridRound(radius: number, [mx, my, mz]: readonly number[]): Grid {
  const { cellsX, cellsY, cellsZ } = SIZE
  const fill = new Uint8Array(cellsX * cellsY * cellsZ).fill(WATER)
  for (let z = 0; z < cellsZ; z++)
    for (let y = 0; y < cellsY; y++)
      for (let x = 0; x < cellsX; x++) {
        const far = Math.hypot(x - 0.5 - mx!, y - 0.5 - my!, z - 0.5 - mz!)
        const isEdge = x === 0 || x === cellsX - 1
        if (isEdge || far < radius) fill[cellOf(x, y, z)] = isEdge ? PANEL : ROCK
      }
  return { cellM: 1, ...SIZE, waterX: cellsX - 2, waterY: cellsY, waterZ: cellsZ, fill }
}

const cellOf = (x: number, y: number, z: number) => (z * SIZE.cellsY + y) * SIZE.cellsX + x
