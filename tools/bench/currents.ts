import {
  planField,
  simulateField,
  domainOf,
  solveBasin,
  type Fineness,
  type FlowDomain,
} from '@yew-basin/core'
import { eddiesOf, Lattice, SLIPS } from '@yew-basin/core/lab'
import { DEMO_BASINS } from '../../server/src/demo/basins.ts'

/** At least so much of what a plain copy of the same bytes does. */
const LEAST_OF_COPY = 0.25
/** A standard field of a 600 L tank. */
const FIELD_S = 40
const ROUNDS = 9
const ROUND_MS = 250

const lantern = DEMO_BASINS.find(({ name }) => name === 'Lantern')!.design

/** The demo's lagoon, 620 L, two pumps in turns. */
function lagoon(): FlowDomain {
  return domainOf(lantern, solveBasin(lantern), 0)
}

function latticeFor(fineness: Fineness): Lattice {
  const domain = lagoon()
  const { grid, stepS } = planField(domain, fineness)!
  const { cellsX, cellsY, cellsZ, cellM } = grid
  const solid = grid.fill.map((cell) => (cell === 0 ? 0 : SLIPS))
  const tau = eddiesOf(grid, domain.streams).viscosity.map(
    (nu) => 0.5 + (3 * nu * stepS) / cellM ** 2,
  )
  return new Lattice({ cellsX, cellsY, cellsZ, solid }, { tau, smagorinsky: 0.05 })
}

/** Cells a second of some work on all of them. */
function cellsPerS(cells: number, work: () => void): number {
  const began = performance.now()
  let times = 0
  while (performance.now() - began < ROUND_MS) {
    work()
    times++
  }
  return (cells * times * 1000) / (performance.now() - began)
}

/** Steps beside copies, turn about, so that a slow spell meets both; the median of the rounds counts. */
function againstCopy(fineness: Fineness): boolean {
  const lattice = latticeFor(fineness)
  cellsPerS(lattice.cells, () => lattice.run(1))
  const rounds = Array.from({ length: ROUNDS }, () => {
    const step = cellsPerS(lattice.cells, () => lattice.run(1))
    const copy = cellsPerS(lattice.cells, () => lattice.copyAsMuch())
    return { step, copy, share: step / copy }
  })
  const middle = rounds.toSorted((a, b) => a.share - b.share)[ROUNDS >> 1]!
  const million = (perS: number) => (perS / 1e6).toFixed(1)
  console.log(
    `lattice, ${lattice.cells.toLocaleString('en')} cells: ${million(middle.step)} million updates a second in one thread; a copy of the same bytes ${million(middle.copy)}; ${(100 * middle.share).toFixed(0)} % of it   least ${100 * LEAST_OF_COPY} %`,
  )
  return middle.share >= LEAST_OF_COPY
}

function fieldInTime(): boolean {
  const plan = planField(lagoon(), 'standard')!
  const began = performance.now()
  const field = simulateField(plan)
  const s = (performance.now() - began) / 1000
  console.log(
    `field of Lantern, standard, ${plan.waterCells.toLocaleString('en')} cells of water, ${field.steps.toLocaleString('en')} steps: ${s.toFixed(1)} s   budget ${FIELD_S} s`,
  )
  return s < FIELD_S
}

/** Prints its figures; says whether all are within their budgets. */
export function benchCurrents(): boolean {
  return [againstCopy('standard'), againstCopy('fine'), fieldInTime()].every(Boolean)
}
