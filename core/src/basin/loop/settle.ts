import { waterAt, type Water } from '../../fluid/water.ts'
import { AS_COMPUTED } from '../../network/line.ts'
import { makeNetwork } from '../../network/network.ts'
import type { BasinDesign } from '../design.ts'
import { endFlow, pumpFlow, tankFlow } from '../ends.ts'
import { layOut, type Layout } from '../layout/layout.ts'
import { relevel } from '../layout/relevel.ts'
import { run, type Ran } from '../running.ts'
import { boxDrains, drainFlows, NONE_BLOCKED } from './box-level.ts'
import { layDrains, type LaidDrain } from './lay-drains.ts'
import { sumpLevels, type ChamberLevel } from './sump-levels.ts'
import { overflowing, tankLevels, type Overflowing, type TankLevels } from './tank-level.ts'

/** The whole loop at rest with itself: levels move the flow, and the flow moves the levels. */
export interface Settled {
  /** The design with its water where it runs. */
  readonly design: BasinDesign
  readonly layout: Layout
  readonly ran: Ran
  readonly drains: readonly LaidDrain[]
  /** null for a tank without an overflow. */
  readonly overflows: readonly (Overflowing | null)[]
  readonly tankLevels: readonly (TankLevels | null)[]
  /** What each drain carries, in the design's order. */
  readonly drainFlows: Float64Array
  readonly chambers: readonly ChamberLevel[]
  /** The chamber the design's first pump draws from. */
  readonly returnIndex: number
  readonly passes: number
  /** Levels still moved when the search gave up, m; nil when it settled. */
  readonly restlessM: number
}

/** Levels that move less than this between two passes are at rest, m. */
const AT_REST_M = 1e-9
const MOST_PASSES = 30
/** A tank's first guess: this much water over its crest. */
const GUESS_HEAD_M = 0.01

/** A design laid out with its water where it runs. */
export function layOutRunning(design: BasinDesign): Layout {
  return settle(design).layout
}

/** The parts of the gravity side that no level moves. */
interface Gravity {
  readonly drains: readonly LaidDrain[]
  readonly overflows: readonly (Overflowing | null)[]
  readonly returnIndex: number
}

/** All heights above the room's floor that the loop finds: tanks first, then chambers. */
type Levels = Float64Array

/**
 * The fixed point of the loop. Each pass solves the return side against the levels, then the
 * levels against its flows; the step is Aitken's, so a loop that answers back does not swing.
 */
export function settle(given: BasinDesign, from?: Levels): Settled {
  const water = waterAt(given.water)
  const gravity = gravityOf(given, water)
  const levels = from ? Float64Array.from(from) : firstLevels(given)
  let design = levelled(given, levels)
  let layout = layOut(design)
  let network = makeNetwork(layout.problem)
  let ran = run(network, AS_COMPUTED)
  const step = new AitkenStep(levels.length)
  for (let passes = 1; ; passes++) {
    const found = follow(given, gravity, layout, ran, levels)
    const restlessM = step.advance(levels, found.levels)
    const done = restlessM <= AT_REST_M || passes === MOST_PASSES
    if (done) levels.set(found.levels)
    design = levelled(given, levels)
    const moved = relevel(layout, design)
    if (moved !== layout) {
      layout = moved
      network = makeNetwork(layout.problem)
      ran = run(network, AS_COMPUTED, ran.running.flowsM3PerS)
    } else if (!done) continue
    if (done) {
      const restless = restlessM <= AT_REST_M ? 0 : restlessM
      return { design, layout, ran, ...gravity, ...found, passes, restlessM: restless }
    }
  }
}

function gravityOf(design: BasinDesign, water: Water): Gravity {
  const drains = layDrains(design, water)
  const { chamberId } = design.returnSide.pumps[0]!
  return {
    drains,
    overflows: design.tanks.map((tank) =>
      tank.overflow ? overflowing(tank, tank.overflow, drains, water) : null,
    ),
    returnIndex: Math.max(
      0,
      design.sump.chambers.findIndex(({ id }) => id === chamberId),
    ),
  }
}

function firstLevels({ tanks, sump }: BasinDesign): Levels {
  return Float64Array.from([
    ...tanks.map(
      (tank) =>
        tank.floorHeightM +
        (tank.overflow ? tank.overflow.crestM + GUESS_HEAD_M : tank.waterLevelM),
    ),
    ...sump.chambers.map(({ levelM }) => levelM),
  ])
}

/** The design with its water at these levels; itself where none of them moves it. */
function levelled(design: BasinDesign, levels: Levels): BasinDesign {
  const { tanks, sump } = design
  if (!sump.box && tanks.every(({ overflow }) => overflow === null)) return design
  return {
    ...design,
    tanks: tanks.map((tank, i) =>
      tank.overflow ? { ...tank, waterLevelM: levels[i]! - tank.floorHeightM } : tank,
    ),
    sump: {
      ...sump,
      chambers: sump.chambers.map((one, i) => ({ ...one, levelM: levels[tanks.length + i]! })),
    },
  }
}

type Followed = Pick<Settled, 'tankLevels' | 'drainFlows' | 'chambers'> & { levels: Levels }

/** The levels that the flows of a pass bring about. */
function follow(
  design: BasinDesign,
  { drains, overflows, returnIndex }: Gravity,
  layout: Layout,
  { running }: Ran,
  levels: Levels,
): Followed {
  const { tanks, sump } = design
  const place = new Map(sump.chambers.map(({ id }, i) => [id, i]))
  const chamberLevelM = (id: string) => levels[tanks.length + place.get(id)!]!
  const flows = new Float64Array(drains.length)
  const inflows = sump.chambers.map(() => 0)
  const into = (chamberId: string, flow: number) => {
    inflows[place.get(chamberId)!]! += flow
  }
  const found = overflows.map((one) => {
    if (!one) return null
    const flowM3PerS = Math.max(0, tankFlow(layout, running, one.tank.id))
    const tank = tankLevels(one, { flowM3PerS, chamberLevelM })
    if (one.overflow.chamberId !== null) into(one.overflow.chamberId, flowM3PerS)
    else if (tank.boxM !== null) {
      const carried = drainFlows(boxDrains(one.drains, chamberLevelM), tank.boxM, NONE_BLOCKED)
      one.drains.forEach((laid, i) => {
        flows[laid.index] = carried[i]!
        into(laid.chamberId, carried[i]!)
      })
    }
    return tank
  })
  for (const { line, index } of layout.lines) {
    if (line.end.at === 'chamber') into(line.end.id!, endFlow(layout, running, index))
  }
  for (const { placed, lineIndex } of layout.pumps) {
    into(placed.chamberId, -pumpFlow(layout, lineIndex, running))
  }
  const chambers = sumpLevels(sump, returnIndex, inflows)
  return {
    tankLevels: found,
    drainFlows: flows,
    chambers,
    levels: Float64Array.from([
      ...found.map((tank, i) => tank?.surfaceM ?? levels[i]!),
      ...chambers.map(({ levelM }) => levelM),
    ]),
  }
}

/** Dynamic relaxation of a fixed point (Irons & Tuck 1969, after Aitken): one factor for all levels. */
class AitkenStep {
  #factor = 1
  readonly #last: Float64Array
  #first = true

  constructor(length: number) {
    this.#last = new Float64Array(length)
  }

  /** Moves the levels towards what they bring about; returns the largest difference. */
  advance(levels: Float64Array, brought: Float64Array): number {
    const residual = brought.map((level, i) => level - levels[i]!)
    let against = 0
    let change = 0
    let largest = 0
    residual.forEach((now, i) => {
      const turn = now - this.#last[i]!
      against += this.#last[i]! * turn
      change += turn * turn
      largest = Math.max(largest, Math.abs(now))
    })
    if (!this.#first && change > 0) this.#factor *= -against / change
    this.#factor = Math.min(1, Math.max(0.05, this.#factor))
    this.#first = false
    this.#last.set(residual)
    residual.forEach((now, i) => (levels[i]! += this.#factor * now))
    return largest
  }
}
