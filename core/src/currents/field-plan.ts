import { momentumOf } from '../jet/index.ts'
import { meanSquareLevel } from '../scene/index.ts'
import { COARSER, type Fineness, type Grid, gridOf, waterCells } from './grid.ts'
import type { FlowDomain } from './flow-domain.ts'

/** How a field will be run, before it is. */
export interface FieldPlan {
  readonly domain: FlowDomain
  readonly fineness: Fineness
  readonly grid: Grid
  /** Of the tank's time, of one step. */
  readonly stepS: number
  /** Until the water goes round as it will. */
  readonly settleSteps: number
  /** Over which it is watched. */
  readonly watchSteps: number
  /** So much faster than set the patterns run, so that the longest one is seen whole. */
  readonly patternPace: number
  readonly waterCells: number
  /** The same on a coarser grid, whose water it begins with; null: it begins from rest. */
  readonly begins: FieldPlan | null
}

/** Fastest water in cells a step: sound goes at 0.577. */
const FASTEST = 0.15
/** The water's own pace: √M over the tank's size, times what fields of tanks gave. */
const PACE = 1.5
/** Ways round the tank until it has settled, and over which it is watched. */
interface Rounds {
  readonly settle: number
  readonly watch: number
}
/** A look by itself, from rest. */
const LOOK: Rounds = { settle: 2, watch: 1 }
/** From rest too, until what is slowest goes round: cheap on a coarse grid, whose water a finer one begins with. */
const FIRST: Rounds = { settle: 4, watch: 4 }
/** From that water on. */
const ON: Rounds = { settle: 1, watch: 2 }
const LEAST_S = 6
const MOST_S = 90

/** Grid, step and length of a run for a tank, by its size and its streams; null: nothing moves the water. */
export function planField(domain: FlowDomain, fineness: Fineness): FieldPlan | null {
  return planOf(domain, fineness, LOOK)
}

function planOf(domain: FlowDomain, fineness: Fineness, fromRest: Rounds): FieldPlan | null {
  const pushed = domain.streams.filter(({ jet }) => momentumOf(jet) > 0)
  if (pushed.length === 0) return null
  const grid = gridOf(domain, fineness)
  const cells = waterCells(grid).length
  if (cells === 0) return null
  const coarser = COARSER[fineness]
  const begins = coarser && planOf(domain, coarser, FIRST)
  const rounds = begins ? ON : fromRest
  const fastest = Math.max(...pushed.map(({ jet }) => seenSpeed(jet, grid.cellM)))
  const stepS = (FASTEST * grid.cellM) / fastest
  const roundS = roundOf(domain, pushed)
  const watchS = within(rounds.watch * roundS)
  const longestS = Math.max(
    0,
    ...pushed.map(({ pattern }) => (pattern && pattern.kind !== 'steady' ? pattern.periodS : 0)),
  )
  return {
    domain,
    fineness,
    grid,
    stepS,
    settleSteps: Math.ceil(within(rounds.settle * roundS) / stepS),
    watchSteps: Math.ceil(watchS / stepS),
    patternPace: Math.max(1, longestS / watchS),
    waterCells: cells,
    begins,
  }
}

/** About how long the water takes once round the tank. */
function roundOf({ lengthM, widthM, depthM }: FlowDomain, pushed: FlowDomain['streams']): number {
  const momentum = pushed.reduce(
    (sum, { jet, pattern }) => sum + momentumOf(jet) * (pattern ? meanSquareLevel(pattern) : 1),
    0,
  )
  const sizeM = Math.cbrt(lengthM * widthM * depthM)
  return (Math.max(lengthM, widthM) * sizeM) / (PACE * Math.sqrt(momentum))
}

/** A nozzle finer than the grid leaves it as wide as the grid and as much slower, its momentum kept. */
function seenSpeed(jet: Parameters<typeof momentumOf>[0], cellM: number): number {
  const seenM = Math.max(jet.boreM, 1.5 * cellM)
  return jet.exitSpeedMPerS * (jet.boreM / seenM)
}

function within(seconds: number): number {
  return Math.min(MOST_S, Math.max(LEAST_S, seconds))
}

/** Updates of cells that a plan comes to, with what it begins with: what its time is estimated by. */
export function updatesOf({ grid, settleSteps, watchSteps, begins }: FieldPlan): number {
  return grid.fill.length * (settleSteps + watchSteps) + (begins ? updatesOf(begins) : 0)
}
