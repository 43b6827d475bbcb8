import { canRunFull, FallSearch, FILLED, PRIMES_FROM_BORES, ventedFlow } from '../drain/index.ts'
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
}

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
const HAIR_M = 1e-4
/** First guess of what a full pipe carries, m³/s. */
const GUESS_M3_PER_S = 3e-4

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
  /** 0 for a siphon that has air in it: it runs down its wall as a vented pipe does. */
  readonly primed: Uint8Array
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
    this.primed = new Uint8Array(drains.length).fill(1)
    this.#pipes = drains.map(({ before, after, alone, trunkId }) => ({
      before: new FallSearch(before),
      after: after && new FallSearch(after),
      alone: after || trunkId !== null ? new FallSearch(alone) : null,
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
    const { drain, boreM, leastBoreM, lipM } = this.box.drains[i]!
    this.#give(i, 0, 0, 0)
    const riseM = levelM - lipM
    const headM = levelM - downM
    if (riseM <= 0 || headM <= 0 || pipe.fall.shut || this.#blocked.has(drain.id)) return
    const rim = circularRimFlow(boreM, riseM)
    if (this.primed[i] === 0) {
      const most = ventedFlow(leastBoreM, FILLED.most)
      return this.#give(i, Math.min(rim, most), rim < most ? (1.5 * rim) / riseM : 0, 0)
    }
    if (drain.role === 'emergency' && this.#fills(i, riseM, downM)) {
      return this.#filling(i, pipe, riseM, headM)
    }
    // A siphon is full: its mouth is no orifice to air.
    const mouth = drain.role === 'siphon' ? Infinity : orificeFlow(boreM, riseM)
    const inlet = Math.min(rim, mouth)
    // What held it back last time most likely does again.
    const asks = this.#pipeRules[i] === 1 || pipe.headM(inlet) > headM
    const full = asks ? pipe.flowAt(headM, this.#guess[i]!) : null
    if (full) this.#guess[i] = full.flowM3PerS
    const rules = full !== null && full.flowM3PerS < inlet
    this.#pipeRules[i] = rules ? 1 : 0
    if (rules) this.#give(i, full.flowM3PerS, full.perHead, full.perHead)
    else this.#give(i, inlet, ((rim <= mouth ? 1.5 : 0.5) * inlet) / riseM, 0)
  }

  /** Does an emergency's pipe run full at a rise, with its end against so much? */
  #fills(i: number, riseM: number, downM: number): boolean {
    const { boreM, rises, mouth, trunkId, memberId } = this.box.drains[i]!
    const joined = trunkId !== null || memberId !== null
    const endUnderM = downM - mouth.zM
    return riseM > PRIMES_FROM_BORES * boreM && canRunFull({ boreM, rises, joined, endUnderM })
  }

  /** An emergency that fills: from its open mouth's flow to the full pipe's within a hair. */
  #filling(i: number, pipe: FallSearch, riseM: number, headM: number): void {
    const { boreM } = this.box.drains[i]!
    const open = Math.min(circularRimFlow(boreM, riseM), orificeFlow(boreM, riseM))
    const full = pipe.flowAt(headM, this.#guess[i]!)
    this.#guess[i] = full.flowM3PerS
    // Where the full pipe takes less than the mouth lets in, it rules either way.
    if (full.flowM3PerS <= open) {
      return this.#give(i, full.flowM3PerS, full.perHead, full.perHead)
    }
    const share = Math.min(1, (riseM - PRIMES_FROM_BORES * boreM) / HAIR_M)
    const more = full.flowM3PerS - open
    const perLevel = share * full.perHead + ((1 - share) * 0.5 * open) / riseM
    const sudden = share < 1 ? more / HAIR_M : 0
    this.#give(i, open + share * more, perLevel + sudden, share * full.perHead)
  }

  /** What a drain takes, less what lies in it holds back. */
  #give(i: number, flowM3PerS: number, perLevel: number, perFall: number): void {
    const open = this.open[i]!
    this.flow[i] = open === 1 ? flowM3PerS : flowM3PerS * open
    this.perLevel[i] = open === 1 ? perLevel : perLevel * open
    this.perFall[i] = open === 1 ? perFall : perFall * open
  }

  /** A trunk with what joins it, or whichever of the two still takes water. */
  #joinedOrAlone(trunk: number, other: number, levelM: number): void {
    const { drains } = this.box
    const runs = (i: number) => levelM > drains[i]!.lipM && !this.#blocked.has(drains[i]!.drain.id)
    if (runs(trunk) && runs(other)) return this.#joined(trunk, levelM)
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
