import { wrap, type Remote } from 'comlink'
import { Cancelled } from './client.ts'
import type { Calc } from './worker.ts'

/** More workers than this make nothing faster here. */
const MOST_WORKERS = 8

interface Hand {
  readonly worker: Worker
  readonly remote: Remote<Calc>
}

/** A worker for each core, fed from one list; cancelling ends them in the middle of their loops. */
export class CalcPool {
  #hands: Hand[] = []
  #giveUp: ((reason: Cancelled) => void) | null = null

  /** Asks about every one of a list, a few at a time each; tells each answer as it comes. A new list ends the last. */
  async each<One, Answer>(
    list: readonly One[],
    batch: number,
    ask: (calc: Remote<Calc>, some: readonly One[]) => Promise<readonly Answer[]>,
    told: (answers: readonly Answer[]) => void,
  ): Promise<void> {
    if (this.#giveUp) this.cancel()
    const stopped = new Promise<never>((_, fail) => (this.#giveUp = fail))
    let next = 0
    const work = async ({ remote }: Hand) => {
      while (next < list.length) {
        const some = list.slice(next, next + batch)
        next += batch
        told(await ask(remote, some))
      }
    }
    const needed = Math.ceil(list.length / batch)
    try {
      await Promise.race([stopped, Promise.all(this.#ready(needed).map(work))])
    } finally {
      this.#giveUp = null
    }
  }

  cancel(): void {
    for (const { worker } of this.#hands) worker.terminate()
    this.#hands = []
    this.#giveUp?.(new Cancelled('The drills were stopped.'))
    this.#giveUp = null
  }

  #ready(needed: number): readonly Hand[] {
    const cores = Math.min(MOST_WORKERS, Math.max(1, navigator.hardwareConcurrency || 1))
    const wanted = Math.min(cores, needed)
    while (this.#hands.length < wanted) {
      const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })
      this.#hands.push({ worker, remote: wrap<Calc>(worker) })
    }
    return this.#hands.slice(0, wanted)
  }
}
