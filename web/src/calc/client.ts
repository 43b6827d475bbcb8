import { proxy, wrap, type Remote } from 'comlink'
import type { Calc } from './worker.ts'

/** The search was given up before it was done. */
export class Cancelled extends Error {}

/** One worker that is asked one thing at a time; asking again, or cancelling, gives up what ran. */
export class Calculator {
  #worker: Worker | null = null
  #remote: Remote<Calc> | null = null
  #giveUp: ((reason: Cancelled) => void) | null = null

  /** Starts a search; a new one ends the last. */
  ask<T>(search: (calc: Remote<Calc>) => Promise<T>): Promise<T> {
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

  #ready(): Remote<Calc> {
    if (!this.#remote) {
      this.#worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })
      this.#remote = wrap<Calc>(this.#worker)
    }
    return this.#remote
  }
}

/** A function the worker may call. */
export const callback = proxy
