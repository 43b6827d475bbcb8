import { eddiesOf, type StreamEddies } from '../../src/currents/eddies.ts'
import { AIR, type Grid, PANEL, WATER } from '../../src/currents/grid.ts'
import { MovingWater, WATER_M2_PER_S } from '../../src/currents/moving-water.ts'
import { addPourSources, addPushSources } from '../../src/currents/sources.ts'
import { push } from '../lattice/a-lattice.ts'

const noEddies = (cells: number): StreamEddies => ({
  viscosity: new Float32Array(cells),
  within: new Float32Array(cells),
})

/** Half the way between two smooth panels, m. */
const HALF_M = 0.25

/** Water between two smooth panels, so many cells apart, driven along as a friction velocity says. */
export function drivenChannel(cells: number, frictionMPerS: number) {
  const cellM = (2 * HALF_M) / cells
  const cellsX = Math.ceil((cells + 2) / 4) * 4
  const fill = new Uint8Array(cellsX).fill(PANEL).fill(WATER, 1, cells + 1)
  const grid: Grid = {
    cellM,
    cellsX,
    cellsY: 1,
    cellsZ: 1,
    waterX: cells,
    waterY: 1,
    waterZ: 1,
    fill,
  }
  const reynolds = (frictionMPerS * HALF_M) / WATER_M2_PER_S
  const law = frictionMPerS * (Math.log(reynolds) / 0.41 + 5.6)
  const stepS = (0.1 * cellM) / law
  const water = new MovingWater({ grid, stepS, rocks: [], eddies: noEddies(cellsX) })
  const all = Array.from({ length: cells }, (_, i) => i + 1)
  // what is there at once, so that it need not be waited for
  const begun = water.lattice.addSource(all.flatMap((cell) => push(cell, [0, 0, 0.08])))
  water.step()
  water.lattice.setFactor(begun, 0)
  const force = ((frictionMPerS ** 2 / HALF_M) * stepS ** 2) / cellM
  const drive = water.lattice.addSource(all.flatMap((cell) => push(cell, [0, 0, force])))
  const speeds = () =>
    Array.from(water.lattice.read().z.slice(1, cells + 1), (u) => (u * cellM) / stepS)
  return {
    water,
    law,
    stepS,
    halfM: HALF_M,
    speeds,
    run: (seconds: number) => {
      for (let step = 0; step < seconds / stepS; step++) water.step()
    },
    stopDriving: () => water.lattice.setFactor(drive, 0),
  }
}

const SLOT_M = 0.02
const EXIT_M_PER_S = 0.8
const LONG = 100
const HIGH = 40
/** What the sheet draws in over its way, in what comes out of the slot. */
const DRAWN_IN = 2

/**
 * A sheet of water out of a slot along a smooth floor, two cells high, wide without end; what it draws in
 * comes from above, what it brings leaves at the far end. Its speed and half-width after it has gone its way.
 */
export function wallJet(cellsASlot: number) {
  const h = cellsASlot
  const { grid, stepS, water } = sheet(h)
  const at = (x: number, z: number) => z * grid.cellsX + x
  const column = (of: Float32Array, x: number) =>
    Array.from({ length: HIGH * h }, (_, z) => (of[at(x, z + 1)]! * grid.cellM) / stepS)
  const opening = Array.from({ length: h * h }, (_, i) => ({
    cell: at(1 + (i % h), 1 + Math.floor(i / h)),
    share: 1 / h ** 2,
  }))
  const bore = Math.sqrt((4 / Math.PI) * SLOT_M * grid.cellM)
  const { lattice } = water
  lattice.addSource(addPushSources(opening, { ...slotJet(grid), boreM: bore }, grid.cellM, stepS))
  const outOf = EXIT_M_PER_S * SLOT_M * grid.cellM
  const pour = (cells: readonly { cell: number; share: number }[], flowM3PerS: number) =>
    lattice.addSource(addPourSources(cells, flowM3PerS, grid.cellM, stepS))
  const spread = (cells: readonly number[], weightOf: (i: number) => number) => {
    const all = cells.reduce((sum, _, i) => sum + weightOf(i), 0)
    return cells.map((cell, i) => ({ cell, share: weightOf(i) / all }))
  }
  const mouth = Array.from({ length: h }, (_, z) => at(1, z + 1))
  const above = Array.from({ length: LONG * h }, (_, x) => at(x + 1, HIGH * h))
  const end = Array.from({ length: 12 * h * h }, (_, i) =>
    at(LONG * h - (i % h), 1 + Math.floor(i / h)),
  )
  pour(
    spread(mouth, () => 1),
    outOf,
  )
  pour(
    spread(above, (x) => 1 / Math.sqrt(Math.max(x, 5 * h))),
    DRAWN_IN * outOf,
  )
  pour(
    spread(end, () => 1),
    -(1 + DRAWN_IN) * outOf,
  )
  const steps = 4500 * h
  for (let step = 0; step < steps; step++) {
    water.step()
    if (step > steps / 2 && step % 16 === 0) lattice.keep()
  }
  const sums = lattice.sums()
  const mean = sums.x.map((sum) => sum / sums.readings)
  const momentumAt = (x: number) =>
    column(mean, x).reduce((sum, u) => sum + (u > 0 ? u * u * grid.cellM : 0), 0)
  // what the slot really gives: a push and water that is poured in
  const exitMPerS = Math.sqrt(momentumAt(10 * h) / SLOT_M)
  return (slots: number) => {
    const speeds = column(mean, slots * h)
    const most = Math.max(...speeds)
    const top = speeds.indexOf(most)
    const lower = speeds.findIndex((u, i) => i >= top && u >= most / 2 && speeds[i + 1]! < most / 2)
    const [u0, u1] = [speeds[lower]!, speeds[lower + 1]!]
    const halfM = (lower + 0.5 + (u0 - most / 2) / (u0 - u1)) * grid.cellM
    return { speed: most / exitMPerS, halfSlots: halfM / SLOT_M }
  }
}

const slotJet = ({ cellM }: Grid) => {
  const lengthM = 1e6 * cellM
  return {
    from: { x: cellM / 2, y: 0, z: SLOT_M / 2 },
    towards: { x: 1, y: 0, z: 0 },
    exitSpeedMPerS: EXIT_M_PER_S,
    boreM: Math.sqrt((4 / Math.PI) * SLOT_M * lengthM),
    slot: { lengthM, widthM: SLOT_M, along: { x: 0, y: 1, z: 0 } },
  }
}

/** The water of the sheet: one cell wide, round whose ends it wraps. */
function sheet(h: number) {
  const cellM = SLOT_M / h
  const size = { waterX: LONG * h, waterY: 1, waterZ: HIGH * h }
  const cellsX = Math.ceil((size.waterX + 2) / 4) * 4
  const layer = (cellsY: number): Grid => {
    const cellsZ = size.waterZ + 2
    const fill = new Uint8Array(cellsX * cellsY * cellsZ).fill(PANEL)
    const y = cellsY >> 1
    for (let z = 1; z <= size.waterZ + 1; z++)
      fill.fill(
        z > size.waterZ ? AIR : WATER,
        (z * cellsY + y) * cellsX + 1,
        (z * cellsY + y) * cellsX + 1 + size.waterX,
      )
    return { cellM, cellsX, cellsY, cellsZ, ...size, fill }
  }
  const walled = layer(3)
  const grid = layer(1)
  const stream = {
    id: 'slot',
    name: 'Slot',
    from: 'pump',
    flowM3PerS: 0,
    pattern: null,
    jet: slotJet(grid),
  } as const
  const wide = eddiesOf(walled, [stream])
  const middle = (of: Float32Array) =>
    Float32Array.from(grid.fill, (_, i) => of[i + (2 * Math.floor(i / cellsX) + 1) * cellsX]!)
  const eddies = { viscosity: middle(wide.viscosity), within: middle(wide.within) }
  const stepS = (0.15 * cellM) / EXIT_M_PER_S
  return { grid, stepS, water: new MovingWater({ grid, stepS, rocks: [], eddies }) }
}
