import type { BasinAnswer, DesignAnswer, Problem, ShelfEntry } from '@yew-basin/contract'
import type { Express } from 'express'
import pg from 'pg'
import request from 'supertest'
import type { Sequelize } from 'sequelize'
import { connect } from '../src/db/connect.ts'
import { makeApp } from '../src/http/app.ts'
import { logAt } from '../src/http/log.ts'

const urlOf = (kind: 'OWNER' | 'APP', database: string) =>
  process.env[`YEW_TEST_${kind}_URL`]!.replace('%7Bdatabase%7D', database).replace(
    '{database}',
    database,
  )

/** The application on a database of its own, cloned from the prepared one. */
export interface TestApp {
  readonly app: Express
  readonly sequelize: Sequelize
  readonly ownerUrl: string
  readonly close: () => Promise<void>
}

export async function anApp(): Promise<TestApp> {
  const database = `test_${process.pid}_${Math.floor(performance.now() * 1000)}`
  const admin = new pg.Client({ connectionString: urlOf('OWNER', 'postgres') })
  await admin.connect()
  await cloned(admin, database)
  await admin.end()
  const sequelize = connect(urlOf('APP', database))
  const pool = new pg.Pool({ connectionString: urlOf('APP', database), max: 3 })
  const settings = {
    databaseUrl: '',
    sessionSecret: 'a secret for tests only',
    host: '127.0.0.1',
    port: 0,
    webRoot: null,
    logLevel: 'silent',
  }
  return {
    app: makeApp(settings, { sequelize, sessionPool: pool }, logAt('silent')),
    sequelize,
    ownerUrl: urlOf('OWNER', database),
    close: async () => {
      await sequelize.close()
      await pool.end()
    },
  }
}

/** A template can be cloned by one at a time; the next test file waits its turn. */
async function cloned(admin: pg.Client, database: string): Promise<void> {
  for (let turn = 0; ; turn++) {
    try {
      await admin.query(`CREATE DATABASE ${database} TEMPLATE yew_basin`)
      return
    } catch (error) {
      if (turn === 50) throw error
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
  }
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

  async shelf(): Promise<ShelfEntry[]> {
    return (await this.agent.get('/api/basins').expect(200)).body as ShelfEntry[]
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
