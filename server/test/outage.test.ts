import { expect, test } from '@jest/globals'
import pg from 'pg'
import request from 'supertest'
import { connect } from '../src/db/connect.ts'
import { makeApp } from '../src/http/app.ts'
import { logAt } from '../src/http/log.ts'
import { anApp, Guest, NO_JOBS, problem, ownerOf } from './an-app.ts'

test('a fault of the database is reported as ours, without its words, and passes when it does', async () => {
  const app = await anApp()
  const guest = await Guest.arrive(app)
  const owner = await ownerOf(app)
  await owner.query('REVOKE SELECT ON basins FROM yew_app')
  const refused = await guest.agent.get('/api/basins').expect(500)
  expect(problem(refused)).toMatchObject({ code: 'server-fault' })
  expect(problem(refused).detail).not.toMatch(/permission|basins/i)
  await owner.query('GRANT SELECT ON basins TO yew_app')
  await guest.agent.get('/api/basins').expect(200)
  await owner.end()
  await app.close()
})

test('a database that does not answer is reported as that, and asks to try again', async () => {
  const nowhere = 'postgres://nobody:x@127.0.0.1:9/none'
  const pool = new pg.Pool({ connectionString: nowhere })
  const sequelize = connect(nowhere)
  const settings = {
    databaseUrl: nowhere,
    sessionSecret: 's',
    host: '',
    port: 0,
    webRoot: null,
    logLevel: 'silent',
  }
  const app = makeApp(settings, { sequelize, sessionPool: pool, jobs: NO_JOBS }, logAt('silent'))
  const answer = await request(app).post('/api/workspace').expect(503)
  expect(problem(answer).code).toBe('no-database')
  expect(Number(answer.headers['retry-after'])).toBeGreaterThan(0)
  await sequelize.close()
  await pool.end()
})
