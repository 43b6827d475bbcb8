import { proxy, wrap, type Remote } from 'comlink'
import type { CoreCalls } from './core-calls.ts'
import type { CurrentsCalls } from './currents-calls.ts'
import { type InTurn, oneByOne } from './one-by-one.ts'

/** A worker that was started, and how it is ended in the middle of its loops. */
export interface Spawned<Calls> {
  readonly remote: Remote<Calls>
  readonly end: () => void
  /** Asks when what was asked before is answered: a question that waits can still be given up. */
  readonly inTurn: InTurn
}

function spawned<Calls>(worker: Worker): Spawned<Calls> {
  const end = () => worker.terminate()
  return { remote: wrap<Calls>(worker), end, inTurn: oneByOne() }
}

/** A worker with core's searches, drills and trials. */
export const spawnCore = () =>
  spawned<CoreCalls>(new Worker(new URL('./core-worker.ts', import.meta.url), { type: 'module' }))

let shared: Spawned<CoreCalls> | null = null
/** One worker for all that is short: started once, ended with the page. */
export function spawnShared(): Spawned<CoreCalls> {
  shared ??= { ...spawnCore(), end: () => undefined }
  return shared
}

/** A worker with the water inside the tank. */
export const spawnCurrents = () =>
  spawned<CurrentsCalls>(
    new Worker(new URL('./currents-worker.ts', import.meta.url), { type: 'module' }),
  )

/** A function the worker may call. */
export const callback = proxy
