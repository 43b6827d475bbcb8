import type { Remote } from 'comlink'
import type { Spawned } from './spawn.ts'

/** Work was given up before it was done. */
export class Cancelled extends Error {}

/** More workers than this make nothing faster here. */
const MOST_WORKERS = 8
/** A worker that starts costs as much as a basin's drills do: others are made when a list takes longer, ms. */
const PATIENCE_MS = 1000

/** Of a question that nobody waited for any more when its turn came. */
const NOT_ASKED: readonly never[] = []

/** Workers fed from one list: one to begin with, one for each core where the list is long. */
export class WorkerPool<Calls> {
  #workers: Spawned<Calls>[] = []
  #turn = 0
  #giveUp: ((reason: Error) => void) | null = null
  readonly #spawn: () => Spawned<Calls>

  /** The first worker is started when something is asked. */
  constructor(spawn: () => Spawned<Calls>) {
    this.#spawn = spawn
  }

  /**
   * Asks about every one of a list, a few at a time each; tells each answer as it comes. A new list takes the
   * place of the last: what is asked already is answered to nobody, and the workers stay warm.
   */
  async each<Item, Answer>(
    list: readonly Item[],
    batch: number,
    ask: (calls: Remote<Calls>, some: readonly Item[]) => Promise<readonly Answer[]>,
    given: (answers: readonly Answer[]) => void,
  ): Promise<void> {
    this.supersede()
    const turn = this.#turn
    let fail!: (reason: Error) => void
    const failed = new Promise<never>((_, reject) => (fail = reject))
    this.#giveUp = fail
    const begunMs = performance.now()
    let next = 0
    const left = () => turn === this.#turn && next < list.length
    const work = async ({ remote, inTurn }: Spawned<Calls>): Promise<void> => {
      const helpers: Promise<void>[] = []
      while (left()) {
        const some = list.slice(next, next + batch)
        next += batch
        const isWanted = () => turn === this.#turn
        const answers = await inTurn<readonly Answer[]>(() => ask(remote, some), {
          isWanted,
          otherwise: NOT_ASKED,
        })
        if (turn === this.#turn) given(answers)
        if (left() && this.#wantsHelp(begunMs)) helpers.push(work(this.#start()).catch(fail))
      }
      await Promise.all(helpers)
    }
    if (this.#workers.length === 0) this.#start()
    try {
      await Promise.race([failed, Promise.all(this.#workers.map(work))])
    } finally {
      if (turn === this.#turn) this.#giveUp = null
    }
  }

  /** Asks one thing. */
  async one<Answer>(ask: (calls: Remote<Calls>) => Promise<Answer>): Promise<Answer> {
    const answers: Answer[] = []
    const question = [null]
    await this.each(
      question,
      1,
      async (calls) => [await ask(calls)],
      (given) => answers.push(...given),
    )
    return answers[0]!
  }

  /** Nothing more of the list is asked; the workers end what they are at, and stay. */
  supersede(): void {
    this.#turn += 1
    this.#giveUp?.(new Cancelled('The work was stopped.'))
    this.#giveUp = null
  }

  /** Ends the workers in the middle of their loops. */
  cancel(): void {
    for (const { end } of this.#workers) end()
    this.#workers = []
    this.supersede()
  }

  /** Has a list that was begun then taken long enough for one worker more? */
  #wantsHelp(begunMs: number): boolean {
    const most = Math.min(MOST_WORKERS, navigator.hardwareConcurrency || 1)
    return this.#workers.length < most && performance.now() - begunMs > PATIENCE_MS
  }

  #start(): Spawned<Calls> {
    const worker = this.#spawn()
    this.#workers.push(worker)
    return worker
  }
}
