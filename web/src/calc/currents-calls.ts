import {
  packField,
  placePumps,
  planField,
  simulateDye,
  simulateField,
  domainMark,
  tryPace,
  updatesOf,
  type CirculationPump,
  type DyeFrame,
  type DyeVerdict,
  type Field,
  type Fineness,
  type PlacementSearch,
  type Vector,
  type FlowDomain,
} from '@yew-basin/core'

/** A field, what it was simulated for, and its bytes to be kept. */
export interface SimulatedField {
  readonly field: Field
  readonly of: string
  readonly bytes: Uint8Array
}

export interface Estimate {
  readonly seconds: number
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
    const pace = tryPace(plan, () => performance.now())
    return {
      seconds: updatesOf(plan) / (pace * 1e6),
      cells: plan.waterCells,
      cellM: plan.grid.cellM,
      tankSeconds: (plan.settleSteps + plan.watchSteps) * plan.stepS,
    }
  },
  simulate(
    domain: FlowDomain,
    fineness: Fineness,
    progress: (done: number, of: number) => void,
  ): SimulatedField | null {
    const plan = planField(domain, fineness)
    if (!plan) return null
    const field = simulateField(plan, progress)
    const of = domainMark(domain, fineness)
    return { field, of, bytes: packField(field, of) }
  },
  dye: (field: Field, from: Vector, look: (frame: DyeFrame) => void): DyeVerdict =>
    simulateDye(field, from, look),
  place: (
    domain: FlowDomain,
    pumps: readonly CirculationPump[],
    progress: (done: number, of: number) => void,
  ): PlacementSearch | null => placePumps(domain, pumps, randomFrom(1), progress),
}
export type CurrentsCalls = typeof currentsCalls
