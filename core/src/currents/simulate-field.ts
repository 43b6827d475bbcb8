import type { Lattice } from '../lattice/index.ts'
import { levelAt } from '../scene/index.ts'
import { eddiesOf } from './eddies.ts'
import { type FieldPlan, updatesOf } from './field-plan.ts'
import { type Field, type Motion, motionAt } from './field.ts'
import { type Grid, placeOf, waterCells } from './grid.ts'
import { MovingWater } from './moving-water.ts'
import { passingWater } from './passing.ts'
import { addPourSources, addPushSources, openingCells } from './sources.ts'
import type { Stream } from './streams.ts'
import { type Halves, Watch } from './watch.ts'

/** Steps from one look to the next: at patterns, and at the water. */
const PATTERN_STEPS = 8
const LOOK_STEPS = 16
/** Steps from one telling of the progress to the next. */
const TELL_STEPS = 96

interface DrivenStream {
  readonly stream: Stream
  readonly push: number
}

/** Runs the water of a plan and watches it, after what it begins with. Long: for a worker. */
export function simulateField(
  plan: FieldPlan,
  progress: (done: number, of: number) => void = () => {},
): Field {
  return simulateFields(plan, progress).at(-1)!.field
}

/** A field, and the mean speeds of the first half of its watch and of the last. */
export interface Watched {
  readonly field: Field
  readonly halves: Halves
}

/** The fields of a plan and of all that it begins with, the coarsest first. */
export function simulateFields(
  plan: FieldPlan,
  progress: (done: number, of: number) => void = () => {},
): readonly Watched[] {
  const all = updatesOf(plan)
  const fields: Watched[] = []
  let begins: Motion | null = null
  for (const own of inOrder(plan)) {
    const before = own.begins ? updatesOf(own.begins) : 0
    const tell = (step: number) => progress(before + step * own.grid.fill.length, all)
    const { watched, ends } = runWater(own, begins, tell)
    fields.push(watched)
    begins = ends
  }
  progress(all, all)
  return fields
}

const inOrder = (plan: FieldPlan): readonly FieldPlan[] =>
  plan.begins ? [...inOrder(plan.begins), plan] : [plan]

/** One plan's own water from what it begins with: its field, and how it moves at the end. */
function runWater(plan: FieldPlan, begins: Motion | null, tell: (step: number) => void) {
  const { grid, domain, stepS, settleSteps, watchSteps } = plan
  const water = movingWater(plan)
  const { lattice } = water
  if (begins) lattice.begin(motionOn(grid, begins, stepS))
  const driven = drive(lattice, plan)
  pour(lattice, plan)
  const steps = settleSteps + watchSteps
  const watch = new Watch(lattice, grid, grid.cellM / stepS)
  for (let step = 0; step < steps; step++) {
    if (step % PATTERN_STEPS === 0) setLevels(lattice, driven, step * stepS * plan.patternPace)
    water.step()
    const watched = step - settleSteps
    if (watched >= 0 && step % LOOK_STEPS === 0) watch.look(watched / watchSteps)
    if (step % TELL_STEPS === 0) tell(step)
  }
  const { halves, ...means } = watch.means()
  const field: Field = {
    fineness: plan.fineness,
    grid,
    ...means,
    eddy: water.eddyNow(),
    rockIds: domain.rocks.map(({ id }) => id),
    passing: passingWater(plan),
    ranS: steps * stepS,
    watchedS: watchSteps * stepS,
    patternPace: domain.streams.some(({ pattern }) => pattern) ? plan.patternPace : 1,
    steps,
    massDrift: lattice.excessMass() / plan.waterCells,
  }
  return { watched: { field, halves }, ends: { grid, ...watch.now() } }
}

/** Another grid's water on this one, cells a step; zero in what is solid. */
function motionOn(grid: Grid, motion: Motion, stepS: number): Motion {
  const none = () => new Float32Array(grid.fill.length)
  const on = { grid, x: none(), y: none(), z: none() }
  const toLattice = stepS / grid.cellM
  for (const cell of waterCells(grid)) {
    const at = motionAt(motion, placeOf(grid, cell))
    on.x[cell] = at.x * toLattice
    on.y[cell] = at.y * toLattice
    on.z[cell] = at.z * toLattice
  }
  return on
}

function movingWater({ grid, stepS, domain }: FieldPlan): MovingWater {
  return new MovingWater({
    grid,
    stepS,
    rocks: domain.rocks,
    eddies: eddiesOf(grid, domain.streams),
  })
}

function drive(lattice: Lattice, { grid, domain, stepS }: FieldPlan): DrivenStream[] {
  return domain.streams.map((stream) => {
    const cells = openingCells(grid, stream.jet)
    return { stream, push: lattice.addSource(addPushSources(cells, stream.jet, grid.cellM, stepS)) }
  })
}

/** What the lines bring, and the overflow takes: as much. */
function pour(lattice: Lattice, { grid, domain, stepS }: FieldPlan): void {
  const { inlets, outlet } = passingWater({ grid, domain })
  for (const { cells, flowM3PerS } of [...inlets, ...(outlet ? [outlet] : [])])
    lattice.addSource(addPourSources(cells, flowM3PerS, grid.cellM, stepS))
}

/** Momentum goes as the square of a pump's level. */
function setLevels(lattice: Lattice, driven: readonly DrivenStream[], timeS: number): void {
  driven.forEach(({ stream, push }, seed) => {
    if (stream.pattern) lattice.setFactor(push, levelAt(stream.pattern, timeS, seed) ** 2)
  })
}

/** Looks at the pace, the middle one of which counts: at first the machine is still making its fastest code of the loops. */
const TRIES = 9
const TRY_MS = 120

/** Million updates of cells a second that this machine makes of a plan, by a short try. */
export function tryPace(plan: FieldPlan, nowMs: () => number): number {
  const water = movingWater(plan)
  const { lattice } = water
  drive(lattice, plan)
  const paces = Array.from({ length: TRIES }, () => {
    const began = nowMs()
    const first = lattice.steps
    while (nowMs() - began < TRY_MS) {
      water.step()
      if (lattice.steps % LOOK_STEPS === 0) lattice.keep()
    }
    return (lattice.cells * (lattice.steps - first)) / (nowMs() - began) / 1e3
  })
  return paces.toSorted((a, b) => a - b)[TRIES >> 1]!
}
