import type { BasinDesign, DisplayTank } from '../design/index.ts'
import { waterAt } from '../fluid/index.ts'
import { BoundaryLevels, layOut, type Layout, relevel } from '../layout/index.ts'
import {
  flowThrough,
  makeNetwork,
  type Network,
  type SolvedNetwork,
  withLosses,
} from '../network/index.ts'
import { memoizeWith, zeros } from '../numeric/index.ts'
import { BoxSearch } from './box-search.ts'
import { evaluateLoop, fedChambers, type Gravity, type ImpliedLevels } from './evaluate-loop.ts'
import { layDrains } from './lay-drains.ts'
import { LevelSteps } from './level-steps.ts'
import { overflowing } from './tank-level.ts'

/** The whole loop at rest with itself: levels move the flow, and the flow moves the levels. */
export interface SteadyState extends Gravity, ImpliedLevels {
  /** The design as it was given. */
  readonly given: BasinDesign
  /** The same with its water where it runs. */
  readonly design: BasinDesign
  readonly layout: Layout
  readonly network: Network
  readonly solution: SolvedNetwork
  readonly passes: number
  /** Levels still moved when the search gave up, m; zero when it steady. */
  readonly residualM: number
}

/** Levels that move less than this between two passes are at rest, m. */
const AT_REST_M = 1e-7
const MOST_PASSES = 30
/** A tank's first guess: this much water over its crest. */
const GUESS_HEAD_M = 0.01

/** All heights above the room's floor that the loop finds: tanks first, then chambers. */
type Levels = number[]

/** Where a chamber's water stands, above the room's floor. */
export function chamberLevelM({ design, chambers }: SteadyState, chamberId: string): number {
  return chambers[design.sump.chambers.findIndex(({ id }) => id === chamberId)]!.levelM
}

/** What a search may begin from. */
export interface SearchFrom {
  /** A neighbour's answer: its levels begin the search. */
  readonly near?: SteadyState | undefined
  /** The design laid out as it is given, where that is at hand; with `near` only, whose levels it has. */
  readonly layout?: Layout
  /** First levels of its own, above the room's floor: tanks, then chambers. */
  readonly levels?: Levels
  /** Levels that move less than this between two passes are at rest, m. */
  readonly atRestM?: number
}

/**
 * The fixed point of the loop. Each pass solves the return side against the levels, then the
 * levels against its flows, and brackets each level, so a loop that answers back does not swing.
 */
export function findSteadyState(given: BasinDesign, from: SearchFrom = {}): SteadyState {
  const { near, atRestM = AT_REST_M } = from
  const gravity = gravityOf(given)
  const levels = (from.levels ?? nearLevels(given, near) ?? firstLevels(given)).slice()
  const first = from.layout ? given : levelled(given, levels)
  const layout = from.layout ?? layOut(first)
  const network = makeNetwork(layout.problem)
  const boundary = new BoundaryLevels(given, layout, network)
  let flowing = flowThrough(network)
  const boxes = gravity.overflows.map((overflow) => overflow && new BoxSearch(overflow.box))
  const step = new LevelSteps(levels.length)
  for (let passes = 1; ; passes++) {
    const found = evaluateLoop(given, gravity, layout, { flows: flowing, levels, boxes })
    const against = levels.slice()
    const residualM = step.advance(levels, found.levels)
    const isSteady = residualM <= atRestM
    if (isSteady || passes === MOST_PASSES) {
      const design = passes === 1 ? first : levelled(given, against)
      const rested = passes === 1 ? layout : relevel(layout, design, network.nodeHead)
      return {
        given,
        design,
        layout: rested,
        network,
        solution: withLosses(network, flowing),
        drains: gravity.drains,
        overflows: gravity.overflows,
        place: gravity.place,
        fed: gravity.fed,
        returnIndex: gravity.returnIndex,
        tankLevels: found.tankLevels,
        drainFlows: found.drainFlows,
        chambers: found.chambers,
        levels: found.levels,
        passes,
        residualM: isSteady ? 0 : residualM,
      }
    }
    if (boundary.apply(levels)) flowing = flowThrough(network, flowing.flowsM3PerS)
  }
}

function nearLevels(given: BasinDesign, near: SteadyState | undefined): Levels | null {
  if (!near || near.design.tanks.length !== given.tanks.length) return null
  return near.design.sump.chambers.length === given.sump.chambers.length ? near.levels : null
}

/** The parts of the way down that no level moves. */
function gravityOf(design: BasinDesign): Gravity {
  return gravityIn(design.tanks, design)
}

/** Found anew only when something of the way down changed: most edits are of something else. */
const gravityIn = memoizeWith(
  (tanks: readonly DisplayTank[], { drains: given, sump, returnSide, water: at }: BasinDesign) => {
    const water = waterAt(at)
    const drains = layDrains(given, water)
    const place = new Map(sump.chambers.map(({ id }, i) => [id, i]))
    return {
      drains,
      overflows: tanks.map((tank) =>
        tank.overflow ? overflowing(tank, tank.overflow, drains, water) : null,
      ),
      place,
      fed: fedChambers({ tanks, sump, lines: returnSide.lines }, drains),
      returnIndex: place.get(returnSide.pumps[0]!.chamberId) ?? 0,
    }
  },
  (before, now) =>
    before.drains === now.drains &&
    before.sump === now.sump &&
    before.water === now.water &&
    before.returnSide.lines === now.returnSide.lines &&
    before.returnSide.pumps[0]!.chamberId === now.returnSide.pumps[0]!.chamberId,
)

function firstLevels({ tanks, sump }: BasinDesign): Levels {
  const levels = zeros(tanks.length + sump.chambers.length)
  tanks.forEach(({ floorHeightM, overflow, waterLevelM }, i) => {
    levels[i] = floorHeightM + (overflow ? overflow.crestM + GUESS_HEAD_M : waterLevelM)
  })
  sump.chambers.forEach(({ levelM }, i) => (levels[tanks.length + i] = levelM))
  return levels
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
      // Written out: a spread that changes a field takes many times as long, at every keystroke.
      chambers: sump.chambers.map(({ id, name, use, footprintM2, submergedM3, wantsDepth }, i) => ({
        id,
        name,
        use,
        levelM: levels[tanks.length + i]!,
        footprintM2,
        submergedM3,
        wantsDepth,
      })),
    },
  }
}
