import { momentumOf } from '../jet/index.ts'
import { meanSquareLevel } from '../scene/index.ts'
import { COARSER, type Fineness, type Grid, gridOf, waterCells } from './grid.ts'
import type { FlowDomain } from './flow-domain.ts'
import { LEAST_OPEN_CELLS } from './sources.ts'

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
const FASTEST = 0.2
/** The water's own pace: √M over the tank's size, times what fields of tanks gave. */
const PACE = 1.5
/** Ways round the tank until it has settled, and over which it is watched. */
interface Rounds {
  readonly settle: number
  readonly watch: number
}
/** A look by itself, from rest. */
const LOOK: Rounds = { settle: 2, watch: 1 }
/** From rest too, until it has forgotten that: finer ones begin with its water, and are held against it. */
const FIRST: Rounds = { settle: 8, watch: 6 }
/** From that water on. */
const ON: Rounds = { settle: 1, watch: 6 }
const LEAST_S = 6
const MOST_S = 150

interface RunOn {
  readonly fineness: Fineness
  readonly grid: Grid
  readonly rounds: Rounds
  readonly begins: FieldPlan | null
}

/** Grid, step and length of a run for a tank, by its size and its streams; null: nothing moves the water. */
export function planField(domain: FlowDomain, fineness: Fineness): FieldPlan | null {
  if (COARSER[fineness]) return planOnward(domain, fineness)
  return planOf(domain, { fineness, grid: gridOf(domain, fineness), rounds: LOOK, begins: null })
}

/** A field that begins with the water of a coarser one, the coarsest from rest. */
function planOnward(domain: FlowDomain, fineness: Fineness): FieldPlan | null {
  const coarser = COARSER[fineness]
  const begins = coarser ? planOnward(domain, coarser) : null
  const rounds = coarser ? ON : FIRST
  return planOf(domain, { fineness, grid: gridOf(domain, fineness), rounds, begins })
}

function planOf(domain: FlowDomain, { fineness, grid, rounds, begins }: RunOn): FieldPlan | null {
  const pushed = domain.streams.filter(({ jet }) => momentumOf(jet) > 0)
  const cells = waterCells(grid).length
  if (pushed.length === 0 || cells === 0) return null
  const fastest = Math.max(...pushed.map(({ jet }) => seenSpeed(jet, grid.cellM)))
  const stepS = (FASTEST * grid.cellM) / fastest
  const roundS = roundOf(domain, pushed)
  const longestS = Math.max(
    0,
    ...pushed.map(({ pattern }) => (pattern && pattern.kind !== 'steady' ? pattern.periodS : 0)),
  )
  const watchS = wholeTurns(within(rounds.watch * roundS), longestS)
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
  const seenM = Math.max(jet.boreM, 2 * LEAST_OPEN_CELLS * cellM)
  return jet.exitSpeedMPerS * (jet.boreM / seenM)
}

/** About so long, in pairs of turns of a pattern where one goes into it: in either half no part of a turn counts more than another. */
function wholeTurns(seconds: number, turnS: number): number {
  if (turnS === 0 || seconds <= turnS) return seconds
  return Math.max(1, Math.round(seconds / (2 * turnS))) * 2 * turnS
}

function within(seconds: number): number {
  return Math.min(MOST_S, Math.max(LEAST_S, seconds))
}

/** What a plan comes to, with what it begins with: updates of cells, which its time is estimated by, and the tank's own time. */
export interface FieldWork {
  readonly updates: number
  readonly tankS: number
}

const NO_WORK: FieldWork = { updates: 0, tankS: 0 }

/** All that a plan's simulation is. */
export function workOf({ grid, stepS, settleSteps, watchSteps, begins }: FieldPlan): FieldWork {
  const before = begins ? workOf(begins) : NO_WORK
  const steps = settleSteps + watchSteps
  return {
    updates: before.updates + grid.fill.length * steps,
    tankS: before.tankS + stepS * steps,
  }
}

/** Its updates alone. */
export const updatesOf = (plan: FieldPlan): number => workOf(plan).updates
