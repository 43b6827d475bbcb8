import type { BasinDesign } from '@yew-basin/core'
import type { BasinAnswer, DesignAnswer, Problem, ShelfEntry, ShelfPage } from '@yew-basin/contract'
import type { Express } from 'express'
import pg from 'pg'
import request from 'supertest'
import type { Sequelize } from 'sequelize'
import { connect } from '../src/db/connect.ts'
import { makeApp } from '../src/http/app.ts'
import { logAt } from '../src/http/log.ts'
import { figuresToday } from '../src/basin/figures-today.ts'
import { computeFigures } from '../src/job/compute-figures.ts'
import type { DesignJob, Jobs } from '../src/job/jobs.ts'
import { thinRevisions } from '../src/basin/thin-revisions.ts'

const urlOf = (kind: 'ADMIN' | 'OWNER' | 'APP', database: string) =>
  process.env[`YEW_TEST_${kind}_URL`]!.replace('%7Bdatabase%7D', database).replace(
    '{database}',
    database,
  )

/** The application on a database of its own, cloned from the prepared one. */
export interface TestApp {
  readonly app: Express
  readonly sequelize: Sequelize
  readonly ownerUrl: string
  readonly adminUrl: string
  /** What was wanted of the queue, done now. */
  readonly work: () => Promise<void>
  readonly close: () => Promise<void>
}

export async function anApp(): Promise<TestApp> {
  const database = `test_${process.pid}_${Math.floor(performance.now() * 1000)}`
  const admin = new pg.Client({ connectionString: urlOf('ADMIN', 'postgres') })
  await admin.connect()
  await cloned(admin, database)
  await admin.end()
  const sequelize = connect(urlOf('APP', database))
  const pool = new pg.Pool({ connectionString: urlOf('APP', database), max: 3 })
  pool.on('error', () => undefined)
  const settings = {
    databaseUrl: '',
    sessionSecret: 'a secret for tests only',
    host: '127.0.0.1',
    port: 0,
    webRoot: null,
    logLevel: 'silent',
  }
  const jobs = new JobsAtHand(sequelize)
  return {
    app: makeApp(settings, { sequelize, sessionPool: pool, jobs }, logAt('silent')),
    sequelize,
    ownerUrl: urlOf('OWNER', database),
    adminUrl: urlOf('ADMIN', database),
    work: () => jobs.work(),
    close: async () => {
      await sequelize.close()
      await pool.end()
    },
  }
}

/** Where nothing is stored, nothing is to be done. */
export const NO_JOBS: Jobs = { figuresWanted: () => undefined, thinningWanted: () => undefined }

/** Jobs that wait until a test lets them be done. */
class JobsAtHand implements Jobs {
  readonly #waiting: (() => Promise<unknown>)[] = []
  readonly #sequelize: Sequelize

  constructor(sequelize: Sequelize) {
    this.#sequelize = sequelize
  }

  figuresWanted(job: DesignJob): void {
    const here = async (design: BasinDesign) => figuresToday(design)
    this.#waiting.push(() => computeFigures(this.#sequelize, job, here))
  }

  thinningWanted(job: DesignJob): void {
    this.#waiting.push(() => thinRevisions(this.#sequelize, job))
  }

  async work(): Promise<void> {
    for (const run of this.#waiting.splice(0)) await run()
  }
}

/** A template can be cloned by one at a time; the next test file waits its turn. */
async function cloned(admin: pg.Client, database: string): Promise<void> {
  for (let turn = 0; ; turn++) {
    try {
      await admin.query(`CREATE DATABASE ${database} TEMPLATE yew_basin OWNER yew_owner`)
      return
    } catch (error) {
      if (turn === 50) throw error
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
  }
}

/** A connection of the tables' owner, for what no request can do. */
export async function ownerOf({ ownerUrl }: TestApp): Promise<pg.Client> {
  const owner = new pg.Client({ connectionString: ownerUrl })
  owner.on('error', () => undefined)
  await owner.connect()
  return owner
}

/** A visitor with a workspace: every call carries the session's cookie. */
export class Guest {
  readonly agent: ReturnType<typeof request.agent>

  private constructor(app: Express) {
    this.agent = request.agent(app)
  }

  static async arrive({ app }: TestApp): Promise<Guest> {
    const guest = new Guest(app)
    await guest.agent.post('/api/workspace').expect(201)
    return guest
  }

  async shelf(): Promise<readonly ShelfEntry[]> {
    return ((await this.agent.get('/api/basins').expect(200)).body as ShelfPage).entries
  }

  /** The basin of that name, opened. */
  async open(name: string): Promise<BasinAnswer> {
    const entry = (await this.shelf()).find((shelfEntry) => shelfEntry.name === name)
    if (!entry) throw new Error(`no ${name} on the shelf`)
    return (await this.agent.get(`/api/basins/${entry.id}`).expect(200)).body as BasinAnswer
  }

  save(design: DesignAnswer, changed = design.revision) {
    return this.agent
      .put(`/api/designs/${design.id}`)
      .set('If-Match', `"${changed}"`)
      .send({ design: design.design })
  }
}

export const problem = (answer: { body: unknown }) => answer.body as Problem
