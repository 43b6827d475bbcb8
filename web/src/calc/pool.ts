import { wrap, type Remote } from 'comlink'
import { Cancelled } from './client.ts'
import type { Calc } from './worker.ts'

/** More workers than this make nothing faster here. */
const MOST_WORKERS = 8
/** A worker that starts costs as much as a basin's drills do: others are made when a list takes longer, ms. */
const PATIENCE_MS = 1000

export interface Hand {
  readonly remote: Remote<Calc>
  readonly end: () => void
}

function hireOne(): Hand {
  const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })
  return { remote: wrap<Calc>(worker), end: () => worker.terminate() }
}

/** Workers fed from one list: one to begin with, one for each core where the list is long. */
export class CalcPool {
  #hands: Hand[] = []
  #turn = 0
  #giveUp: ((reason: Error) => void) | null = null
  readonly #hireOne: () => Hand

  constructor(hire: () => Hand = hireOne) {
    this.#hireOne = hire
  }

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
    let fail!: (reason: Error) => void
    const failed = new Promise<never>((_, reject) => (fail = reject))
    this.#giveUp = fail
    const begunMs = performance.now()
    let next = 0
    const left = () => turn === this.#turn && next < list.length
    const work = async ({ remote }: Hand): Promise<void> => {
      const helpers: Promise<void>[] = []
      while (left()) {
        const some = list.slice(next, next + batch)
        next += batch
        const answers = await ask(remote, some)
        if (turn === this.#turn) told(answers)
        if (left() && this.#wantsHelp(begunMs)) helpers.push(work(this.#hire()).catch(fail))
      }
      await Promise.all(helpers)
    }
    if (this.#hands.length === 0) this.#hire()
    try {
      await Promise.race([failed, Promise.all(this.#hands.map(work))])
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
    for (const { end } of this.#hands) end()
    this.#hands = []
    this.overtake()
  }

  /** Has a list that was begun then taken long enough for one worker more? */
  #wantsHelp(begunMs: number): boolean {
    const most = Math.min(MOST_WORKERS, navigator.hardwareConcurrency || 1)
    return this.#hands.length < most && performance.now() - begunMs > PATIENCE_MS
  }

  #hire(): Hand {
    const hand = this.#hireOne()
    this.#hands.push(hand)
    return hand
  }
}
