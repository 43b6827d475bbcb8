import { proxy, wrap, type Remote } from 'comlink'
import type { Calc } from './worker.ts'

/** The search was given up before it was done. */
export class Cancelled extends Error {}

const coreWorker = () => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })

/** One worker that is asked one thing at a time; asking again, or cancelling, gives up what ran. */
export class Calculator<Calls = Calc> {
  readonly #make: () => Worker
  #worker: Worker | null = null
  #remote: Remote<Calls> | null = null
  #giveUp: ((reason: Cancelled) => void) | null = null

  /** The worker is made when it is first asked. */
  constructor(make: () => Worker = coreWorker) {
    this.#make = make
  }

  /** Starts a search; a new one ends the last. */
  ask<T>(search: (calc: Remote<Calls>) => Promise<T>): Promise<T> {
    if (this.#giveUp) this.cancel()
    return new Promise<T>((done, fail) => {
      this.#giveUp = fail
      const finish = () => {
        this.#giveUp = null
      }
      search(this.#ready()).then(
        (answer) => {
          finish()
          done(answer)
        },
        (error: unknown) => {
          finish()
          fail(error instanceof Error ? error : new Error(String(error)))
        },
      )
    })
  }

  /** Stops what runs at once, in the middle of its loop. */
  cancel(): void {
    this.#worker?.terminate()
    this.#worker = null
    this.#remote = null
    this.#giveUp?.(new Cancelled('The search was stopped.'))
    this.#giveUp = null
  }

  #ready(): Remote<Calls> {
    if (!this.#remote) {
      this.#worker = this.#make()
      this.#remote = wrap<Calls>(this.#worker)
    }
    return this.#remote
  }
}

/** A function the worker may call. */
export const callback = proxy
