import {
  canRunFull,
  DEEP_END_BORES,
  FallSearch,
  PRIMES_FROM_BORES,
  UnprimedSearch,
} from '../drain/index.ts'
import { zeros } from '../numeric/index.ts'
import { circularRimFlow, circularRimHeadM, orificeFlow } from '../weir/index.ts'
import { JointSearch } from './joint-search.ts'
import { type Blocked, type BoxDrains, NONE_BLOCKED } from './box-drains.ts'

/** The full pipes of one drain: up to a join, and beyond it. */
interface DrainSearch {
  readonly before: FallSearch
  readonly after: FallSearch | null
  /** The whole of it by itself, where it joins another or is joined. */
  readonly alone: FallSearch | null
  /** It with air in it; null: nobody asked yet. */
  withAir: UnprimedSearch | null
}

/**
 * How a siphon runs. with-air: by its open mouth, a film, or nothing where its air is locked in. as-it-comes: its
 * mouth lets in what its full pipe does not take, as one that gulps does in the mean. full: by its full
 * pipe, whatever stands over its inlet.
 */
export type SiphonRuns = 'with-air' | 'as-it-comes' | 'full'

/** An answer near the one that is looked for. */
export interface NearBox {
  readonly levelM: number
  /** Of each drain, in the design's order. */
  readonly drainFlows: number[]
}

/** A full pipe's flow settles to rounding in fewer steps than this; the bracket halves where it does not. */
const MOST_STEPS = 80
/** A level that would move less than this is found, m. */
const AT_REST_M = 1e-11
/** No box is searched deeper over its lowest inlet than this, m. */
const MOST_DEPTH_M = 3
/** A pipe that fills does so over so much of a rise, for a search to find its level, m. */
export const FILLS_OVER_M = 1e-4
/** An end so near to being too deep lets a pipe run full in part: there is no step where nobody could see one, m (choice). */
const END_EASES_M = 2e-3
/** So far past the edge of its air lock a siphon carries all its law gives, m (choice). */
export const AIR_LOCK_EASES_M = 1e-4
/** First guess of what a full pipe carries, m³/s. */
const GUESS_M3_PER_S = 3e-4

/** Where an emergency's water stands: over its lip, over its end, and how far its end is from being too deep. */
interface Filling {
  readonly riseM: number
  readonly headM: number
  readonly endFreeM: number
}

/** By which power of the rise an inlet's flow grows: a rim's, a mouth's, none where a film is all there is. */
function powerOf(inlet: number, rim: number, mouth: number): number {
  if (inlet === rim) return 1.5
  return inlet === mouth ? 0.5 : 0
}

/**
 * Somebody's search for what a box's drains take and where its water stands: begins where it ended
 * last. Moves as it is asked; never shared.
 */
export class BoxSearch {
  readonly box: BoxDrains
  /** Head at the end of each drain: its mouth in air, or the water it ends in. */
  readonly outM: number[]
  /** Of each drain at the level last asked for. */
  readonly flow: number[]
  /** What more level, and what less head below, would add to it, m²/s. */
  readonly perLevel: number[]
  readonly perFall: number[]
  /** Share of each pipe's flow that gets through: less where something lies in it. */
  readonly open: number[]
  /** Of each drain, if it is a siphon. */
  readonly runs: SiphonRuns[]
  readonly #pipes: readonly DrainSearch[]
  /** Flows of full pipes that each search leaves for the next. */
  readonly #guess: number[]
  /** 1 where the full pipe held the flow back when last asked, not the inlet. */
  readonly #pipeRules: Uint8Array
  /** Head at the leg by which each drain comes into a tee, found last. */
  readonly #legM: number[]
  readonly #joint = new JointSearch()
  #blocked: Blocked = NONE_BLOCKED
  /** Height found last. */
  #levelM = NaN

  constructor(box: BoxDrains, near?: NearBox) {
    const { drains } = box
    const vector = () => zeros(drains.length)
    this.box = box
    this.outM = vector()
    this.flow = vector()
    this.perLevel = vector()
    this.perFall = vector()
    this.open = vector().fill(1)
    this.runs = drains.map(() => 'as-it-comes')
    this.#pipes = drains.map(({ before, after, alone, trunkId }) => ({
      before: new FallSearch(before),
      after: after && new FallSearch(after),
      alone: after || trunkId !== null ? new FallSearch(alone) : null,
      withAir: null,
    }))
    this.#guess = zeros(drains.length).fill(GUESS_M3_PER_S)
    this.#pipeRules = new Uint8Array(drains.length)
    this.#legM = vector().fill(NaN)
    if (near) this.#beginAt(near)
  }

  #beginAt({ levelM, drainFlows }: NearBox): void {
    this.#levelM = levelM
    this.box.drains.forEach(({ index }, i) => {
      const flowM3PerS = drainFlows[index]!
      if (flowM3PerS > 0) this.#guess[i] = flowM3PerS
    })
  }

  /** Says what the drains end against. */
  endAgainst(chamberLevelM: (chamberId: string) => number): void {
    const { drains, mouthM } = this.box
    for (let i = 0; i < drains.length; i++) {
      this.outM[i] = Math.max(mouthM[i]!, chamberLevelM(drains[i]!.chamberId))
    }
  }

  /** Works out what each drain takes when the box's water stands at a height; returns their sum. */
  drainAt(levelM: number, blocked: Blocked = NONE_BLOCKED): number {
    this.#blocked = blocked
    const { drains, member } = this.box
    let sum = 0
    for (let i = 0; i < drains.length; i++) {
      const other = member[i]!
      if (other >= 0) this.#joinedOrAlone(i, other, levelM)
      else if (drains[i]!.trunkId === null) {
        this.#take(i, this.#pipes[i]!.before, levelM, this.outM[i]!)
      }
    }
    for (let i = 0; i < drains.length; i++) sum += this.flow[i]!
    return sum
  }

  /** Height of a box's water at which its drains carry a flow; Infinity when they never do. Newton, held in a bracket. */
  levelM(flowM3PerS: number, blocked: Blocked = NONE_BLOCKED): number {
    const lowest = this.#lowestLipM(blocked)
    if (lowest.lipM === Infinity) return Infinity
    if (flowM3PerS <= 0) return lowest.lipM
    let low = lowest.lipM
    let high = Infinity
    const starts = this.#levelM > low && this.#levelM < low + MOST_DEPTH_M
    let levelM = starts ? this.#levelM : low + circularRimHeadM(lowest.widestM, flowM3PerS)
    for (let step = 0; step < MOST_STEPS; step++) {
      const over = this.drainAt(levelM, blocked) - flowM3PerS
      if (over >= 0) high = levelM
      else low = levelM
      let rate = 0
      for (let i = 0; i < this.perLevel.length; i++) rate += this.perLevel[i]!
      let next = rate > 0 ? levelM - over / rate : NaN
      if (over === 0 || Math.abs(next - levelM) < AT_REST_M || high - low < AT_REST_M) break
      if (!(next > low && next < high)) next = high === Infinity ? levelM + 0.05 : (low + high) / 2
      if (high === Infinity) next = Math.min(next, levelM + 0.3)
      if (next > lowest.lipM + MOST_DEPTH_M) return Infinity
      levelM = next
    }
    this.#levelM = levelM
    return levelM
  }

  /** The lowest lip of those that are open, and the widest bore. */
  #lowestLipM(blocked: Blocked): { lipM: number; widestM: number } {
    let low = Infinity
    let widest = 0
    for (const { drain, lipM, boreM } of this.box.drains) {
      if (blocked.has(drain.id)) continue
      low = Math.min(low, lipM)
      widest = Math.max(widest, boreM)
    }
    return { lipM: low, widestM: widest }
  }

  /** Of one pipe down to a head: what its inlet lets in, or what its full pipe carries. */
  #take(i: number, pipe: FallSearch, levelM: number, downM: number): void {
    const { drain, boreM, lipM } = this.box.drains[i]!
    this.#give(i, 0, 0, 0)
    const riseM = levelM - lipM
    const headM = levelM - downM
    if (headM <= 0 || pipe.fall.shut || this.#blocked.has(drain.id)) return
    if (drain.role === 'siphon' && this.runs[i] === 'full') return this.#runFull(i, pipe, headM)
    if (riseM <= 0) return
    if (drain.role === 'siphon' && this.runs[i] === 'with-air') return this.#withAir(i, riseM)
    const rim = circularRimFlow(boreM, riseM)
    if (drain.role === 'emergency') {
      const endFreeM = this.#endFreeM(i, riseM, downM)
      if (endFreeM > 0) return this.#filling(i, pipe, { riseM, headM, endFreeM })
    }
    // A siphon is full: its mouth is no orifice to air.
    const mouth = drain.role === 'siphon' ? Infinity : orificeFlow(boreM, riseM)
    const inlet = Math.min(rim, mouth, this.box.filmM3PerS[i]!)
    // What held it back last time most likely does again.
    const asks = this.#pipeRules[i] === 1 || pipe.headM(inlet) > headM
    const full = asks ? pipe.flowAt(headM, this.#guess[i]!) : null
    if (full) this.#guess[i] = full.flowM3PerS
    const rules = full !== null && full.flowM3PerS < inlet
    this.#pipeRules[i] = rules ? 1 : 0
    if (rules) this.#give(i, full.flowM3PerS, full.perHead, full.perHead)
    else this.#give(i, inlet, (powerOf(inlet, rim, mouth) * inlet) / riseM, 0)
  }

  #runFull(i: number, pipe: FallSearch, headM: number): void {
    const { flowM3PerS, perHead } = pipe.flowAt(headM, this.#guess[i]!)
    this.#guess[i] = flowM3PerS
    this.#give(i, flowM3PerS, perHead, perHead)
  }

  #unprimed(i: number): UnprimedSearch {
    const { boreM, leastBoreM, alone } = this.box.drains[i]!
    return new UnprimedSearch({ inletBoreM: boreM, leastBoreM, fall: alone })
  }

  /** A siphon with air in it: locked in, within a hair, while its end is deeper under water than its inlet. */
  #withAir(i: number, riseM: number): void {
    const search = (this.#pipes[i]!.withAir ??= this.#unprimed(i))
    const outM = this.outM[i]!
    search.at(riseM, this.box.drains[i]!.lipM - outM)
    const { flowM3PerS, perLevel, perDrop } = search
    const endUnderM = outM - this.box.mouthM[i]!
    const share = endUnderM > 0 ? Math.min(1, (riseM - endUnderM) / AIR_LOCK_EASES_M) : 1
    if (share <= 0) return
    const sudden = share < 1 ? flowM3PerS / AIR_LOCK_EASES_M : 0
    this.#give(i, share * flowM3PerS, share * perLevel + sudden, share * perDrop + sudden)
  }

  /** How far an emergency's end is from being too deep for its pipe to run full, m; nil: it does not, there or by its making. */
  #endFreeM(i: number, riseM: number, downM: number): number {
    const { boreM, rises, mouth, trunkId, memberId } = this.box.drains[i]!
    const joined = trunkId !== null || memberId !== null
    const endUnderM = downM - mouth.zM
    const fills = riseM > PRIMES_FROM_BORES * boreM
    if (!fills || !canRunFull({ boreM, rises, joined, endUnderM })) return 0
    return DEEP_END_BORES * boreM - endUnderM
  }

  /** An emergency that fills: from its open mouth's flow to the full pipe's within a hair of rise, and of its end. */
  #filling(i: number, pipe: FallSearch, { riseM, headM, endFreeM }: Filling): void {
    const { boreM } = this.box.drains[i]!
    const open = Math.min(circularRimFlow(boreM, riseM), orificeFlow(boreM, riseM))
    const full = pipe.flowAt(headM, this.#guess[i]!)
    this.#guess[i] = full.flowM3PerS
    // Where the full pipe takes less than the mouth lets in, it rules either way.
    if (full.flowM3PerS <= open) {
      return this.#give(i, full.flowM3PerS, full.perHead, full.perHead)
    }
    const byRise = Math.min(1, (riseM - PRIMES_FROM_BORES * boreM) / FILLS_OVER_M)
    const byEnd = Math.min(1, endFreeM / END_EASES_M)
    const share = byRise * byEnd
    const more = full.flowM3PerS - open
    const perLevel = share * full.perHead + ((1 - share) * 0.5 * open) / riseM
    const suddenRise = byRise < 1 ? (byEnd * more) / FILLS_OVER_M : 0
    const suddenEnd = byEnd < 1 ? (byRise * more) / END_EASES_M : 0
    this.#give(i, open + share * more, perLevel + suddenRise, share * full.perHead + suddenEnd)
  }

  /** What a drain takes, less what lies in it holds back. */
  #give(i: number, flowM3PerS: number, perLevel: number, perFall: number): void {
    const open = this.open[i]!
    this.flow[i] = open === 1 ? flowM3PerS : flowM3PerS * open
    this.perLevel[i] = open === 1 ? perLevel : perLevel * open
    this.perFall[i] = open === 1 ? perFall : perFall * open
  }

  /** A trunk with what joins it, or whichever of the two still takes water; air in either parts them. */
  #joinedOrAlone(trunk: number, other: number, levelM: number): void {
    const { drains } = this.box
    const runs = (i: number) =>
      levelM > drains[i]!.lipM &&
      this.runs[i] !== 'with-air' &&
      !this.#blocked.has(drains[i]!.drain.id)
    const both = runs(trunk) && runs(other)
    // What half fills an inlet is before the join: alone it would be reckoned behind it.
    const half = (i: number) => runs(i) && this.open[i]! < 1
    const parted = this.runs[trunk] === 'with-air' || this.runs[other] === 'with-air'
    if (both || (!parted && (half(trunk) || half(other)))) return this.#joined(trunk, levelM)
    this.#take(trunk, this.#pipes[trunk]!.alone!, levelM, this.outM[trunk]!)
    this.#take(other, this.#pipes[other]!.alone!, levelM, this.outM[other]!)
  }

  /**
   * A trunk and what joins it: the heads at the two legs of their tee send both flows on together,
   * down the way they share. Newton on those two heads, its step halved where it leads away.
   */
  #joined(trunk: number, levelM: number): void {
    const other = this.box.member[trunk]!
    if (this.#pipes[trunk]!.after!.fall.shut) {
      this.#give(trunk, 0, 0, 0)
      return this.#give(other, 0, 0, 0)
    }
    const joint = this.#joint
    const outletM = this.outM[trunk]!
    const middleM = (outletM + Math.max(levelM, outletM)) / 2
    const legM = this.#legM
    if (!(legM[trunk]! < levelM)) legM[trunk] = middleM
    if (!(legM[other]! < levelM)) legM[other] = middleM
    this.#meet(trunk, levelM, joint)
    for (let step = 0; step < MOST_STEPS; step++) {
      joint.solve()
      const [atTrunkM, atOtherM, offM] = [legM[trunk]!, legM[other]!, joint.offM]
      if (offM < AT_REST_M || joint.stepM < AT_REST_M) break
      for (let share = 1; share > 1e-3; share /= 2) {
        legM[trunk] = Math.min(levelM, atTrunkM - share * joint.step[0])
        legM[other] = Math.min(levelM, atOtherM - share * joint.step[1])
        this.#meet(trunk, levelM, joint)
        if (joint.offM < offM) break
      }
    }
    this.perLevel[trunk] = joint.perLevel(this.perLevel[trunk]!, this.perLevel[other]!)
    this.perLevel[other] = 0
  }

  /** What both bring at the heads of their legs, and how far that is from going on together. */
  #meet(trunk: number, levelM: number, joint: JointSearch): void {
    const other = this.box.member[trunk]!
    this.#take(trunk, this.#pipes[trunk]!.before, levelM, this.#legM[trunk]!)
    this.#take(other, this.#pipes[other]!.before, levelM, this.#legM[other]!)
    joint.meet(this.box.drains[trunk]!, this.#pipes[trunk]!.after!, {
      outletM: this.outM[trunk]!,
      legM: [this.#legM[trunk]!, this.#legM[other]!],
      flow: [this.flow[trunk]!, this.flow[other]!],
      perFall: [this.perFall[trunk]!, this.perFall[other]!],
    })
  }
}
