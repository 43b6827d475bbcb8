import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import pg from 'pg'
import { sweepDaily, sweepGuests } from '../src/workspace/sweep-guests.ts'
import { anApp, Guest, type TestApp } from './an-app.ts'

let app: TestApp
let owner: pg.Client
beforeAll(async () => {
  app = await anApp()
  owner = new pg.Client({ connectionString: app.ownerUrl })
  await owner.connect()
})
afterAll(async () => {
  await owner.end()
  await app.close()
})
beforeEach(() => owner.query("DELETE FROM workspaces WHERE kind = 'guest'; DELETE FROM session"))

const count = async (table: string) =>
  Number((await owner.query(`SELECT count(*) FROM ${table}`)).rows[0].count)
const age = (days: number) =>
  owner.query(
    `UPDATE workspaces SET created_at = now() - interval '${days} days' WHERE kind = 'guest'`,
  )

describe('sweeping guests', () => {
  test('takes an old guest whose session is gone, with all that was theirs', async () => {
    const before = await count('designs')
    await Guest.arrive(app)
    expect(await count('designs')).toBeGreaterThan(before)
    await age(3)
    await owner.query('DELETE FROM session')
    expect(await sweepGuests(app.sequelize)).toBe(1)
    expect(await count('designs')).toBe(before)
    expect(await sweepGuests(app.sequelize)).toBe(0)
  })
  test('leaves a guest who can still come back, however old', async () => {
    const guest = await Guest.arrive(app)
    await age(400)
    expect(await sweepGuests(app.sequelize)).toBe(0)
    expect((await guest.shelf()).map(({ name }) => name)).toContain('Lantern')
  })
  test('leaves one who came just now, and the demo always', async () => {
    await Guest.arrive(app)
    await owner.query('DELETE FROM session')
    await owner.query(
      "UPDATE workspaces SET created_at = now() - interval '900 days' WHERE kind = 'demo'",
    )
    expect(await sweepGuests(app.sequelize)).toBe(0)
    expect(await count('workspaces')).toBe(2)
  })
  test('goes through more of them than it takes at a time', async () => {
    await owner.query(
      "INSERT INTO workspaces (id, kind) SELECT gen_random_uuid(), 'guest' FROM generate_series(1, 230)",
    )
    await age(30)
    expect(await sweepGuests(app.sequelize)).toBe(230)
  })
  test('that fails is reported, and ends nothing', async () => {
    const reported: Error[] = []
    const broken = { query: async () => Promise.reject(new Error('no such table')) }
    const stop = sweepDaily(broken as unknown as typeof app.sequelize, (fault) =>
      reported.push(fault),
    )
    await new Promise((done) => setTimeout(done, 10))
    stop()
    expect(reported.map(({ message }) => message)).toEqual(['no such table'])
  })
})
