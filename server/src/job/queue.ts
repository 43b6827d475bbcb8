import PgBoss from 'pg-boss'
import type { Sequelize } from 'sequelize'
import { sweepGuests } from '../workspace/sweep-guests.ts'
import { computeFigures, type FiguresOf } from './compute-figures.ts'
import type { DesignJob, Jobs } from './jobs.ts'
import { thinRevisions } from '../basin/thin-revisions.ts'

/** A card that somebody looks at is computed at once; one whose design is being worked on when that has calmed down. */
const WAIT_MS = { now: 200, later: 10_000 } as const
/** How often it is looked what is due: one round trip for all of it. */
const LOOK_MS = 250
/** Jobs taken at once; between two of them requests get their turn. */
const AT_ONCE = 20
const TRY_AGAIN_MS = 2000

type Queued = 'figures' | 'thin'

/**
 * The queue in PostgreSQL, shared by every process on this database. What is lost with a process that is killed is
 * wanted again when the shelf is next read.
 */
export class Queue implements Jobs {
  readonly #boss: PgBoss
  readonly #sequelize: Sequelize
  readonly #tell: (error: Error) => void
  readonly #figuresOf: FiguresOf
  readonly #wanted = new Map<string, { name: Queued; job: DesignJob; due: number }>()
  #timer: NodeJS.Timeout | undefined
  #running = false
  #stopped = false

  constructor(
    databaseUrl: string,
    sequelize: Sequelize,
    figuresOf: FiguresOf,
    tell: (error: Error) => void,
  ) {
    this.#sequelize = sequelize
    this.#tell = tell
    this.#figuresOf = figuresOf
    this.#boss = new PgBoss({
      connectionString: databaseUrl,
      max: 3,
      migrate: false,
      deleteAfterMinutes: 10,
      archiveCompletedAfterSeconds: 60,
    })
    this.#boss.on('error', (error) => tell(error))
  }

  /** Tries until the database answers: a server may be up before it. */
  async start(): Promise<void> {
    for (;;) {
      try {
        await this.#boss.start()
        break
      } catch (error) {
        this.#tell(error as Error)
        await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS))
        if (this.#stopped) return
      }
    }
    this.#running = true
    const often = { batchSize: AT_ONCE, pollingIntervalSeconds: 1 }
    await this.#boss.work<DesignJob>('figures', often, (jobs) =>
      this.#each(jobs, (job) => computeFigures(this.#sequelize, job, this.#figuresOf)),
    )
    await this.#boss.work<DesignJob>('thin', often, (jobs) =>
      this.#each(jobs, (job) => thinRevisions(this.#sequelize, job)),
    )
    await this.#boss.work('sweep', () => sweepGuests(this.#sequelize))
  }

  async stop(): Promise<void> {
    this.#stopped = true
    clearTimeout(this.#timer)
    if (!this.#running) return
    this.#running = false
    await this.#boss.stop({ graceful: true, timeout: 3000, wait: true })
  }

  figuresWanted(job: DesignJob, when: 'now' | 'later'): void {
    this.#want('figures', job, WAIT_MS[when])
  }

  thinningWanted(job: DesignJob): void {
    this.#want('thin', job, WAIT_MS.later)
  }

  #want(name: Queued, job: DesignJob, wait: number): void {
    const key = `${name} ${job.designId}`
    const due = Math.min(Date.now() + wait, this.#wanted.get(key)?.due ?? Infinity)
    this.#wanted.set(key, { name, job, due })
    this.#timer ??= setTimeout(() => void this.#send(), LOOK_MS)
  }

  async #send(): Promise<void> {
    const now = Date.now()
    const batch = [...this.#wanted.values()].filter(({ due }) => due <= now)
    for (const { name, job } of batch) this.#wanted.delete(`${name} ${job.designId}`)
    this.#timer = this.#wanted.size > 0 ? setTimeout(() => void this.#send(), LOOK_MS) : undefined
    if (batch.length === 0) return
    try {
      await this.#boss.insert(
        batch.map(({ name, job }) => ({ name, data: job, singletonKey: job.designId })),
      )
    } catch (error) {
      this.#tell(error as Error)
    }
  }

  async #each(
    jobs: readonly PgBoss.Job<DesignJob>[],
    run: (job: DesignJob) => Promise<unknown>,
  ): Promise<void> {
    for (const { data } of jobs) await run(data)
  }
}
