import { fallFlow } from '../../drain/fall.ts'
import { brent } from '../../numeric/brent.ts'
import { circularRimFlow, orificeFlow } from '../../weir/inlet.ts'
import type { LaidDrain } from './lay-drains.ts'

/** The drains of one box, and the level each ends against. */
export interface BoxDrains {
  readonly drains: readonly LaidDrain[]
  /** Head at the end of each: its mouth in air, or the water it ends in. */
  readonly outM: readonly number[]
  /** Guesses that each search leaves for the next. */
  readonly guess: Float64Array
}

export function boxDrains(
  drains: readonly LaidDrain[],
  chamberLevelM: (chamberId: string) => number,
): BoxDrains {
  return {
    drains,
    outM: drains.map((laid) => {
      const trunk = drains.find(({ drain }) => drain.id === laid.trunkId) ?? laid
      return Math.max(trunk.mouth.zM, chamberLevelM(laid.chamberId))
    }),
    guess: new Float64Array(drains.length * 2).fill(3e-4),
  }
}

/** A blocked drain by its id; a drain that is joined is lost with what blocks below the join. */
export type Blocked = ReadonlySet<string>

export const NONE_BLOCKED: Blocked = new Set()

/** What each drain takes when the box's water stands at a height above the room's floor. */
export function drainFlows(box: BoxDrains, levelM: number, blocked: Blocked): Float64Array {
  const flows = new Float64Array(box.drains.length)
  box.drains.forEach((laid, i) => {
    if (laid.memberId !== null) joined(box, i, levelM, blocked, flows)
    else if (laid.trunkId === null) flows[i] = taken(box, i, levelM, box.outM[i]!, blocked)
  })
  return flows
}

/** Of one pipe down to a head: what its inlet lets in, or what its full pipe carries. */
function taken(
  { drains, guess }: BoxDrains,
  i: number,
  levelM: number,
  downM: number,
  blocked: Blocked,
): number {
  const { drain, boreM, lipM, before } = drains[i]!
  const riseM = levelM - lipM
  if (riseM <= 0 || blocked.has(drain.id)) return 0
  const full = fallFlow(before, levelM - downM, guess[i])
  if (full > 0) guess[i] = full
  const inlet = circularRimFlow(boreM, riseM)
  // A siphon is full: its mouth is no orifice to air.
  return Math.min(
    full,
    drain.role === 'siphon' ? inlet : Math.min(inlet, orificeFlow(boreM, riseM)),
  )
}

/** A trunk and what joins it: the head where they meet sends both flows on together. */
function joined(
  box: BoxDrains,
  trunk: number,
  levelM: number,
  blocked: Blocked,
  flows: Float64Array,
): void {
  const { drains, outM, guess } = box
  const { memberId, after } = drains[trunk]!
  const member = drains.findIndex(({ drain }) => drain.id === memberId)
  const both = (joinM: number) =>
    taken(box, trunk, levelM, joinM, blocked) + taken(box, member, levelM, joinM, blocked)
  const down = (joinM: number) => {
    const flow = fallFlow(after!, joinM - outM[trunk]!, guess[drains.length + trunk])
    if (flow > 0) guess[drains.length + trunk] = flow
    return flow
  }
  const found = brent(
    (joinM) => both(joinM) - down(joinM),
    outM[trunk]!,
    Math.max(levelM, outM[trunk]!),
    {
      tolerance: 1e-10,
    },
  )
  if (!found.ok) return
  flows[trunk] = taken(box, trunk, levelM, found.value, blocked)
  flows[member] = taken(box, member, levelM, found.value, blocked)
}

export function sumOf(flows: Float64Array): number {
  let sum = 0
  for (const flow of flows) sum += flow
  return sum
}

/** No box is searched deeper over its lowest inlet than this, m. */
const MOST_DEPTH_M = 3

/** Height of a box's water at which its drains carry a flow; Infinity when they never do. */
export function boxLevelM(box: BoxDrains, flowM3PerS: number, blocked: Blocked): number {
  const lips = box.drains.filter(({ drain }) => !blocked.has(drain.id)).map(({ lipM }) => lipM)
  if (lips.length === 0) return Infinity
  const lowM = Math.min(...lips)
  if (flowM3PerS <= 0) return lowM
  const short = (levelM: number) => sumOf(drainFlows(box, levelM, blocked)) - flowM3PerS
  // One lip after another: the law bends at each, and the search is short between them.
  let fromM = lowM
  for (const lipM of [...lips].sort((a, b) => a - b)) {
    if (short(lipM) >= 0) break
    fromM = lipM
  }
  let toM = fromM
  for (let spanM = 0.02; short(toM) < 0; spanM *= 2) {
    if (toM > lowM + MOST_DEPTH_M) return Infinity
    toM = fromM + spanM
  }
  const found = brent(short, fromM, toM, { tolerance: 1e-10 })
  return found.ok ? found.value : Infinity
}
