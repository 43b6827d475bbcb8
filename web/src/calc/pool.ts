import { wrap, type Remote } from 'comlink'
import { Cancelled } from './client.ts'
import type { Calc } from './worker.ts'

/** More workers than this make nothing faster here. */
const MOST_WORKERS = 8

interface Hand {
  readonly worker: Worker
  readonly remote: Remote<Calc>
}

/** A worker for each core, fed from one list. */
export class CalcPool {
  #hands: Hand[] = []
  #turn = 0
  #giveUp: ((reason: Cancelled) => void) | null = null

  /**
   * Asks about every one of a list, a few at a time each; tells each answer as it comes. A new list takes the
   * place of the last: what is asked already is answered to nobody, and the workers stay warm.
   */
  async each<One, Answer>(
    list: readonly One[],
    batch: number,
    ask: (calc: Remote<Calc>, some: readonly One[]) => Promise<readonly Answer[]>,
    told: (answers: readonly Answer[]) => void,
  ): Promise<void> {
    this.overtake()
    const turn = this.#turn
    const stopped = new Promise<never>((_, fail) => (this.#giveUp = fail))
    let next = 0
    const work = async ({ remote }: Hand) => {
      while (turn === this.#turn && next < list.length) {
        const some = list.slice(next, next + batch)
        next += batch
        const answers = await ask(remote, some)
        if (turn === this.#turn) told(answers)
      }
    }
    const needed = Math.ceil(list.length / batch)
    try {
      await Promise.race([stopped, Promise.all(this.#ready(needed).map(work))])
    } finally {
      if (turn === this.#turn) this.#giveUp = null
    }
  }

  /** Nothing more of the list is asked; the workers end what they are at, and stay. */
  overtake(): void {
    this.#turn += 1
    this.#giveUp?.(new Cancelled('The drills were stopped.'))
    this.#giveUp = null
  }

  /** Ends the workers in the middle of their loops. */
  cancel(): void {
    for (const { worker } of this.#hands) worker.terminate()
    this.#hands = []
    this.overtake()
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
