import {
  type Fall,
  type FallFlow,
  fallFlowAt,
  fallHeadM,
  FILLED,
  ventedFlow,
} from '../drain/index.ts'
import { forgetFriction } from '../network/index.ts'
import { circularRimFlow, circularRimHeadM, orificeFlow } from '../weir/index.ts'
import type { LaidDrain } from './lay-drains.ts'

/** The drains of one box, the level each ends against, and room to work in. */
export interface BoxDrains {
  readonly drains: readonly LaidDrain[]
  /** Head at the end of each: its mouth in air, or the water it ends in. */
  readonly outM: Float64Array
  /** Place of the drain that joins each; −1: none. */
  readonly member: Int32Array
  /** Of each drain at the level last asked for. */
  readonly flow: Float64Array
  /** What more level, and what less head below, would add to it, m²/s. */
  readonly perLevel: Float64Array
  readonly perFall: Float64Array
  /** Flows of full pipes that each search leaves for the next: before a join, and after it. */
  readonly guess: Float64Array
  /** 1 where the full pipe held the flow back when last asked, not the inlet. */
  readonly pipeRules: Uint8Array
  /** Share of each pipe's flow that gets through: less where something lies in it. */
  readonly open: Float64Array
  /** 0 for a siphon that has air in it: it runs down its wall as a vented pipe does. */
  readonly primed: Uint8Array
  /** Heads at each trunk's join, found last. */
  readonly joinM: Float64Array
  /** Height found last. */
  levelM: number
}

export function boxDrains(drains: readonly LaidDrain[]): BoxDrains {
  for (const { before, after, alone, aloneOpen } of drains) {
    forgetFriction(before.law)
    if (after) forgetFriction(after.law)
    if (alone !== before) forgetFriction(alone.law)
    if (aloneOpen !== alone) forgetFriction(aloneOpen.law)
  }
  const room = () => new Float64Array(drains.length)
  const member = new Int32Array(drains.length)
  drains.forEach(({ memberId }, i) => {
    member[i] = memberId === null ? -1 : drains.findIndex(({ drain }) => drain.id === memberId)
  })
  return {
    drains,
    outM: room(),
    member,
    flow: room(),
    perLevel: room(),
    perFall: room(),
    guess: new Float64Array(drains.length * 2).fill(3e-4),
    pipeRules: new Uint8Array(drains.length),
    open: room().fill(1),
    primed: new Uint8Array(drains.length).fill(1),
    joinM: room(),
    levelM: NaN,
  }
}

/** Says what the drains end against. */
export function endAgainst(box: BoxDrains, chamberLevelM: (chamberId: string) => number): void {
  box.drains.forEach((laid, i) => {
    const trunk = box.drains.find(({ drain }) => drain.id === laid.trunkId) ?? laid
    box.outM[i] = Math.max(trunk.mouth.zM, chamberLevelM(laid.chamberId))
  })
}

/** Blocked drains by their ids. */
export type Blocked = ReadonlySet<string>

export const NONE_BLOCKED: Blocked = new Set()

/** Works out what each drain takes when the box's water stands at a height; returns their sum. */
export function drainAt(box: BoxDrains, levelM: number, blocked: Blocked): number {
  const { drains, outM, member, flow } = box
  let sum = 0
  for (let i = 0; i < drains.length; i++) {
    const laid = drains[i]!
    const other = member[i]!
    if (other >= 0) joinedOrAlone(box, i, other, levelM, blocked)
    else if (laid.trunkId === null) taken(box, i, laid.before, levelM, outM[i]!, blocked)
  }
  for (let i = 0; i < drains.length; i++) sum += flow[i]!
  return sum
}

const FULL: FallFlow = { flowM3PerS: 0, perHead: 0 }

/** Of one pipe down to a head: what its inlet lets in, or what its full pipe carries. */
function taken(
  box: BoxDrains,
  i: number,
  pipe: Fall,
  levelM: number,
  downM: number,
  blocked: Blocked,
): void {
  const { drain, boreM, lipM } = box.drains[i]!
  box.flow[i] = 0
  box.perLevel[i] = 0
  box.perFall[i] = 0
  const riseM = levelM - lipM
  const headM = levelM - downM
  if (riseM <= 0 || headM <= 0 || pipe.shut || blocked.has(drain.id)) return
  const rim = circularRimFlow(boreM, riseM)
  if (box.primed[i] === 0) {
    const most = ventedFlow(boreM, FILLED.most)
    box.flow[i] = box.open[i]! * Math.min(rim, most)
    box.perLevel[i] = rim < most ? (box.open[i]! * 1.5 * rim) / riseM : 0
    return
  }
  // A siphon is full: its mouth is no orifice to air.
  const mouth = drain.role === 'siphon' ? Infinity : orificeFlow(boreM, riseM)
  const inlet = Math.min(rim, mouth)
  // What held it back last time most likely does again.
  const pipeRules = box.pipeRules[i] === 1 || fallHeadM(pipe, inlet) > headM
  if (pipeRules) {
    fallFlowAt(pipe, headM, box.guess[i]!, FULL)
    box.guess[i] = FULL.flowM3PerS
  }
  box.pipeRules[i] = pipeRules && FULL.flowM3PerS < inlet ? 1 : 0
  if (box.pipeRules[i] === 1) {
    box.flow[i] = FULL.flowM3PerS
    box.perLevel[i] = FULL.perHead
    box.perFall[i] = FULL.perHead
  } else {
    box.flow[i] = inlet
    box.perLevel[i] = ((rim <= mouth ? 1.5 : 0.5) * inlet) / riseM
  }
  const open = box.open[i]!
  if (open === 1) return
  box.flow[i] = box.flow[i] * open
  box.perLevel[i] = box.perLevel[i] * open
  box.perFall[i] = box.perFall[i] * open
}

/** A full pipe's flow settles to rounding in fewer steps than this; the bracket halves where it does not. */
const MOST_STEPS = 80
/** A level that would move less than this is found, m. */
const AT_REST_M = 1e-11

/** A trunk with what joins it, or whichever of the two still takes water. */
function joinedOrAlone(
  box: BoxDrains,
  trunk: number,
  other: number,
  levelM: number,
  blocked: Blocked,
): void {
  const { drains, outM } = box
  const runs = (i: number) => levelM > drains[i]!.lipM && !blocked.has(drains[i]!.drain.id)
  if (runs(trunk) && runs(other)) return joined(box, trunk, levelM, blocked)
  for (const i of [trunk, other]) taken(box, i, drains[i]!.alone, levelM, outM[i]!, blocked)
}

/** A trunk and what joins it: the head where they meet sends both flows on together. */
function joined(box: BoxDrains, trunk: number, levelM: number, blocked: Blocked): void {
  const { drains, outM, member, flow, perLevel, perFall, guess } = box
  const other = member[trunk]!
  const after = drains[trunk]!.after!
  const outletM = outM[trunk]!
  let low = outletM
  let high = Math.max(levelM, outletM)
  let joinM = box.joinM[trunk]!
  if (!(joinM > low && joinM < high)) joinM = (low + high) / 2
  for (let step = 0; step < MOST_STEPS; step++) {
    taken(box, trunk, drains[trunk]!.before, levelM, joinM, blocked)
    taken(box, other, drains[other]!.before, levelM, joinM, blocked)
    const in_ = flow[trunk]! + flow[other]!
    fallFlowAt(after, joinM - outletM, guess[drains.length + trunk]!, FULL)
    const { flowM3PerS: on, perHead: onPerFall } = FULL
    if (on > 0) guess[drains.length + trunk] = on
    const over = in_ - on
    if (over > 0) low = joinM
    else high = joinM
    const rate = perFall[trunk]! + perFall[other]! + onPerFall
    let next = rate > 0 ? joinM + over / rate : NaN
    const there = over === 0 || Math.abs(next - joinM) < AT_REST_M
    if (!(next > low && next < high)) next = (low + high) / 2
    if (there || high - low < AT_REST_M) {
      const total = perLevel[trunk]! + perLevel[other]!
      // What more level brings in, the head at the join gives part of back.
      const kept = rate > 0 ? onPerFall / rate : 1
      perLevel[trunk] = total * kept
      perLevel[other] = 0
      box.joinM[trunk] = joinM
      return
    }
    joinM = next
  }
}

/** No box is searched deeper over its lowest inlet than this, m. */
const MOST_DEPTH_M = 3

/** Height of a box's water at which its drains carry a flow; Infinity when they never do. Newton, held in a bracket. */
export function boxLevelM(box: BoxDrains, flowM3PerS: number, blocked: Blocked): number {
  const { drains } = box
  let low = Infinity
  let widest = 0
  for (const { drain, lipM, boreM } of drains) {
    if (blocked.has(drain.id)) continue
    low = Math.min(low, lipM)
    widest = Math.max(widest, boreM)
  }
  if (low === Infinity) return Infinity
  if (flowM3PerS <= 0) return low
  const lowest = low
  let high = Infinity
  const starts = box.levelM > low && box.levelM < low + MOST_DEPTH_M
  let levelM = starts ? box.levelM : low + circularRimHeadM(widest, flowM3PerS)
  for (let step = 0; step < MOST_STEPS; step++) {
    const over = drainAt(box, levelM, blocked) - flowM3PerS
    if (over >= 0) high = levelM
    else low = levelM
    let rate = 0
    for (let i = 0; i < drains.length; i++) rate += box.perLevel[i]!
    let next = rate > 0 ? levelM - over / rate : NaN
    if (over === 0 || Math.abs(next - levelM) < AT_REST_M || high - low < AT_REST_M) {
      box.levelM = levelM
      return levelM
    }
    if (!(next > low && next < high)) next = high === Infinity ? levelM + 0.05 : (low + high) / 2
    if (high === Infinity) next = Math.min(next, levelM + 0.3)
    if (next > lowest + MOST_DEPTH_M) return Infinity
    levelM = next
  }
  box.levelM = levelM
  return levelM
}
