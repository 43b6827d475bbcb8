import {
  packField,
  placing,
  planField,
  simulateDye,
  simulatePlan,
  tryPace,
  unpackField,
  workOf,
  type CirculationPump,
  type DyeFrame,
  type DyeVerdict,
  type Field,
  type Fineness,
  type PackedField,
  type CirculationPart,
  type Vector,
  type FlowDomain,
} from '@yew-basin/core'

/** A field, what it was simulated for, and its bytes to be kept. */
export interface SimulatedField extends PackedField {
  readonly bytes: Uint8Array
}

export interface Estimate {
  readonly seconds: number
  /** Updates of cells a second that this machine makes. */
  readonly pacePerS: number
  readonly cells: number
  readonly cellM: number
  readonly tankSeconds: number
}

/** A seed, so that the same search gives the same answer (mulberry32). */
function randomFrom(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** Core's long work on currents, off the page's thread. */
export const currentsCalls = {
  estimate(domain: FlowDomain, fineness: Fineness): Estimate | null {
    const plan = planField(domain, fineness)
    if (!plan) return null
    const pacePerS = tryPace(plan, () => performance.now()) * 1e6
    const { updates, tankS } = workOf(plan)
    return {
      pacePerS,
      seconds: updates / pacePerS,
      cells: plan.waterCells,
      cellM: plan.grid.cellM,
      tankSeconds: tankS,
    }
  },
  simulate(
    domain: FlowDomain,
    fineness: Fineness,
    progress: (done: number, of: number) => void,
  ): SimulatedField | null {
    const plan = planField(domain, fineness)
    if (!plan) return null
    const bytes = packField(simulatePlan(plan, progress))
    // as it is kept, so that what it says is the same when it is fetched again
    return { ...unpackField(bytes)!, bytes }
  },
  dye: (field: Field, from: Vector, look: (frame: DyeFrame) => void): DyeVerdict =>
    simulateDye(field, from, look),
  place: (
    domain: FlowDomain,
    pumps: readonly CirculationPump[],
    progress: (done: number, of: number) => void,
  ): placing.PlacementSearch | null => placing.placePumps(domain, pumps, randomFrom(1), progress),
  howMany: (
    domain: FlowDomain,
    part: CirculationPart,
    progress: (done: number, of: number) => void,
  ): placing.HowMany => placing.howMany(domain, part, () => crypto.randomUUID(), progress),
}
export type CurrentsCalls = typeof currentsCalls
