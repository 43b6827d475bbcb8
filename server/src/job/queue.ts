import PgBoss from 'pg-boss'
import type { Sequelize } from 'sequelize'
import { sweepGuests } from '../workspace/sweep-guests.ts'
import { computeFigures } from './compute-figures.ts'
import type { DesignJob, Jobs } from './jobs.ts'
import { thinRevisions } from '../basin/thin-revisions.ts'

/** What was wanted is sent in one go this long after the first of it: a design saved ten times is solved once. */
const GATHER_MS = 800
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
  readonly #wanted = new Map<string, { name: Queued; job: DesignJob }>()
  #timer: NodeJS.Timeout | undefined
  #running = false
  #stopped = false

  constructor(databaseUrl: string, sequelize: Sequelize, tell: (error: Error) => void) {
    this.#sequelize = sequelize
    this.#tell = tell
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
      this.#each(jobs, (job) => computeFigures(this.#sequelize, job)),
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

  figuresWanted(job: DesignJob): void {
    this.#want('figures', job)
  }

  thinningWanted(job: DesignJob): void {
    this.#want('thin', job)
  }

  #want(name: Queued, job: DesignJob): void {
    this.#wanted.set(`${name} ${job.designId}`, { name, job })
    this.#timer ??= setTimeout(() => void this.#send(), GATHER_MS)
  }

  async #send(): Promise<void> {
    this.#timer = undefined
    const batch = [...this.#wanted.values()]
    this.#wanted.clear()
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
