import { waterAt } from '../../fluid/water.ts'
import { AS_COMPUTED } from '../../network/line.ts'
import { makeNetwork, withHeads, type Network } from '../../network/network.ts'
import type { BasinDesign } from '../design.ts'
import { layOut, type Layout } from '../layout/layout.ts'
import { relevel } from '../layout/relevel.ts'
import { run, type Ran } from '../running.ts'
import { follow, type Followed, type Gravity } from './follow.ts'
import { layDrains } from './lay-drains.ts'
import { LevelSteps } from './level-steps.ts'
import { overflowing } from './tank-level.ts'

/** The whole loop at rest with itself: levels move the flow, and the flow moves the levels. */
export interface Settled extends Gravity, Followed {
  /** The design with its water where it runs. */
  readonly design: BasinDesign
  readonly layout: Layout
  readonly ran: Ran
  readonly passes: number
  /** Levels still moved when the search gave up, m; nil when it settled. */
  readonly restlessM: number
}

/** Levels that move less than this between two passes are at rest, m. */
const AT_REST_M = 1e-7
const MOST_PASSES = 30
/** A tank's first guess: this much water over its crest. */
const GUESS_HEAD_M = 0.01

/** All heights above the room's floor that the loop finds: tanks first, then chambers. */
type Levels = Float64Array

/** Where a chamber's water stands, above the room's floor. */
export function chamberLevelM({ design, chambers }: Settled, chamberId: string): number {
  return chambers[design.sump.chambers.findIndex(({ id }) => id === chamberId)]!.levelM
}

/** What a search may begin from. */
export interface SettleFrom {
  /** A neighbour's answer: its levels begin the search, and its drains serve where they are the same. */
  readonly near?: Settled | undefined
  /** The design laid out as it is given, where that is at hand; with `near` only, whose levels it has. */
  readonly layout?: Layout
  /** First levels of its own, above the room's floor: tanks, then chambers. */
  readonly levels?: Levels
  /** Levels that move less than this between two passes are at rest, m. */
  readonly atRestM?: number
}

/**
 * The fixed point of the loop. Each pass solves the return side against the levels, then the
 * levels against its flows, and hems each level in, so a loop that answers back does not swing.
 */
export function settle(given: BasinDesign, from: SettleFrom = {}): Settled {
  const { near, atRestM = AT_REST_M } = from
  const gravity = gravityOf(given, near)
  const levels = Float64Array.from(from.levels ?? nearLevels(given, near) ?? firstLevels(given))
  let design = from.layout ? given : levelled(given, levels)
  let layout = from.layout ?? layOut(design)
  const network = makeNetwork(layout.problem)
  let against: Against = { layout, network, ran: run(network, AS_COMPUTED) }
  const step = new LevelSteps(levels.length)
  for (let passes = 1; ; passes++) {
    const found = follow(given, gravity, layout, against.ran, levels)
    const restlessM = step.advance(levels, found.levels)
    const rests = restlessM <= atRestM
    if (rests || passes === MOST_PASSES) {
      const { ran } = against
      const restless = rests ? 0 : restlessM
      return { design, layout, ran, ...gravity, ...found, passes, restlessM: restless }
    }
    design = levelled(given, levels)
    against = runAgainst(against, relevel(layout, design))
    layout = against.layout
  }
}

/** A layout, its network and what runs in it. */
interface Against {
  readonly layout: Layout
  readonly network: Network
  readonly ran: Ran
}

/** Runs a layout whose levels moved, from what ran before; the same network serves while only heads differ. */
function runAgainst(before: Against, layout: Layout): Against {
  if (layout === before.layout) return before
  const sameLinks = layout.problem.links === before.layout.problem.links
  const network = sameLinks
    ? withHeads(before.network, layout.problem)
    : makeNetwork(layout.problem)
  return { layout, network, ran: run(network, AS_COMPUTED, before.ran.running.flowsM3PerS) }
}

function nearLevels(given: BasinDesign, near: Settled | undefined): Levels | null {
  if (!near || near.design.tanks.length !== given.tanks.length) return null
  return near.design.sump.chambers.length === given.sump.chambers.length ? near.levels : null
}

/** A design laid out with its water where it runs. */
export function layOutRunning(design: BasinDesign): Layout {
  return settle(design).layout
}

/** The parts of the way down that no level moves. */
function gravityOf(design: BasinDesign, near: Settled | undefined): Gravity {
  const water = waterAt(design.water)
  const same = near?.design.drains === design.drains && near.design.water === design.water
  const drains = same ? near.drains : layDrains(design, water)
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
