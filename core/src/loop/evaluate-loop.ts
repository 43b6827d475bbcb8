import type { BasinDesign, ReturnSide } from '../design/index.ts'
import { endFlow, type Layout, pumpFlow, tankFlow } from '../layout/index.ts'
import type { Flows } from '../network/index.ts'
import { zeros } from '../numeric/index.ts'
import type { BoxSearch } from './box-search.ts'
import type { LaidDrain } from './lay-drains.ts'
import { type ChamberLevel, sumpLevels } from './sump-levels.ts'
import { type Overflowing, tankLevels, type TankLevels } from './tank-level.ts'

/** The parts of the way down that no level moves. */
export interface Gravity {
  readonly drains: readonly LaidDrain[]
  /** null for a tank without an overflow. */
  readonly overflows: readonly (Overflowing | null)[]
  /** Place of each chamber by its id. */
  readonly place: ReadonlyMap<string, number>
  /** The chambers that something is laid to end in. */
  readonly fed: readonly boolean[]
  /** The chamber the design's first pump draws from. */
  readonly returnIndex: number
}

/** What a pass's flows bring about. */
export interface ImpliedLevels {
  readonly tankLevels: readonly (TankLevels | null)[]
  /** What each drain carries, in the design's order. */
  readonly drainFlows: number[]
  readonly chambers: readonly ChamberLevel[]
  /** All heights above the room's floor: tanks, then chambers. */
  readonly levels: number[]
}

/** What a pass begins with. */
export interface Pass {
  readonly flows: Flows
  readonly levels: number[]
  /** Of each overflow, kept from pass to pass. */
  readonly boxes: readonly (BoxSearch | null)[]
}

/** The levels that the flows of a pass bring about. */
export function evaluateLoop(
  design: BasinDesign,
  { drains, overflows, place, fed, returnIndex }: Gravity,
  layout: Layout,
  { flows, levels, boxes }: Pass,
): ImpliedLevels {
  const { tanks, sump } = design
  const chamberLevelM = (id: string) => levels[tanks.length + place.get(id)!]!
  const drainFlows = zeros(drains.length)
  const inflows = sump.chambers.map(() => 0)
  const into = (chamberId: string, flow: number) => {
    inflows[place.get(chamberId)!]! += flow
  }
  const found = overflows.map((overflow, i) => {
    const box = boxes[i]
    if (!overflow || !box) return null
    const flowM3PerS = Math.max(0, tankFlow(layout, flows, overflow.tank.id))
    const tank = tankLevels(overflow, box, { flowM3PerS, chamberLevelM })
    if (overflow.overflow.chamberId !== null) into(overflow.overflow.chamberId, flowM3PerS)
    else if (tank.boxM !== null) {
      box.drainAt(tank.boxM)
      overflow.drains.forEach((laid, i) => {
        drainFlows[laid.index] = box.flow[i]!
        into(laid.chamberId, box.flow[i]!)
      })
    }
    return tank
  })
  for (const { line, index } of layout.lines) {
    if (line.end.at === 'chamber') into(line.end.id!, endFlow(layout, flows, index))
  }
  for (const { placed, lineIndex } of layout.pumps) {
    into(placed.chamberId, -pumpFlow(layout, lineIndex, flows))
  }
  const chambers = sumpLevels(sump, returnIndex, {
    netM3PerS: inflows,
    fed,
  })
  return {
    tankLevels: found,
    drainFlows,
    chambers,
    levels: impliedLevels(found, chambers, levels),
  }
}

/** Heights that the flows bring about; a tank without an overflow stands where it did. */
function impliedLevels(
  tanks: ImpliedLevels['tankLevels'],
  chambers: readonly ChamberLevel[],
  before: number[],
): number[] {
  const levels = before.slice()
  tanks.forEach((tank, i) => {
    if (tank) levels[i] = tank.surfaceM
  })
  chambers.forEach(({ levelM }, i) => (levels[tanks.length + i] = levelM))
  return levels
}

/** The chambers that a drain, a line or an all-in-one's rim ends in. */
export function fedChambers(
  { tanks, sump, lines }: Pick<BasinDesign, 'tanks' | 'sump'> & Pick<ReturnSide, 'lines'>,
  drains: readonly LaidDrain[],
): boolean[] {
  const fed = new Set([
    ...drains.map(({ chamberId }) => chamberId),
    ...tanks.map(({ overflow }) => overflow?.chamberId),
    ...lines.map(({ end }) => (end.at === 'chamber' ? end.id : null)),
  ])
  return sump.chambers.map(({ id }) => fed.has(id))
}
