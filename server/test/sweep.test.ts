import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { RecoveryKeyAnswer } from '@yew-basin/contract'
import type pg from 'pg'
import { sweepGuests } from '../src/workspace/sweep-guests.ts'
import { anApp, Guest, type TestApp, ownerOf } from './an-app.ts'

let app: TestApp
let owner: pg.Client
beforeAll(async () => {
  app = await anApp()
  owner = await ownerOf(app)
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
const sweep = () => sweepGuests(app.sequelize)

describe('sweeping guests', () => {
  test('puts a guest whom no session opens into the bin, and takes them out of it after thirty days', async () => {
    const before = await count('designs')
    await Guest.arrive(app)
    expect(await count('designs')).toBeGreaterThan(before)
    await age(3)
    await owner.query('DELETE FROM session')
    expect(await sweep()).toEqual({ binned: 1, gone: 0 })
    expect(await count('designs')).toBeGreaterThan(before)
    await owner.query("UPDATE workspaces SET deleted_at = now() - interval '29 days'")
    expect(await sweep()).toEqual({ binned: 0, gone: 0 })
    await owner.query("UPDATE workspaces SET deleted_at = now() - interval '31 days'")
    expect(await sweep()).toEqual({ binned: 0, gone: 1 })
    expect(await count('designs')).toBe(before)
  })
  test('leaves a guest who can still come back, however old', async () => {
    const guest = await Guest.arrive(app)
    await age(400)
    expect(await sweep()).toEqual({ binned: 0, gone: 0 })
    expect((await guest.shelf()).map(({ name }) => name)).toContain('Lantern')
  })
  test('never takes one with a recovery key', async () => {
    const guest = await Guest.arrive(app)
    const { key } = (await guest.agent.post('/api/workspace/recovery-key').expect(201))
      .body as RecoveryKeyAnswer
    await age(2000)
    await owner.query('DELETE FROM session')
    expect(await sweep()).toEqual({ binned: 0, gone: 0 })
    const later = await Guest.arrive(app)
    await later.agent.post('/api/workspace/recover').send({ key }).expect(200)
    expect((await later.shelf()).map(({ name }) => name)).toContain('Lantern')
  })
  test('leaves one who came just now, and the demo always', async () => {
    await Guest.arrive(app)
    await owner.query('DELETE FROM session')
    await owner.query(
      "UPDATE workspaces SET created_at = now() - interval '900 days' WHERE kind = 'demo'",
    )
    expect(await sweep()).toEqual({ binned: 0, gone: 0 })
    expect(await count('workspaces')).toBe(2)
  })
  test('goes through more of them than it takes at a time', async () => {
    await owner.query(
      "INSERT INTO workspaces (id, kind) SELECT gen_random_uuid(), 'guest' FROM generate_series(1, 230)",
    )
    await age(30)
    expect((await sweep()).binned).toBe(230)
  })
  test('cannot be told to hurry: the bin’s thirty days are the database’s own', async () => {
    const guest = await Guest.arrive(app)
    const [entry] = await guest.shelf()
    await guest.agent.delete(`/api/basins/${entry!.id}`).set('If-Match', '1').expect(204)
    await app.sequelize.query('SELECT * FROM sweep(0, 0, 100)')
    await guest.agent.post(`/api/basins/${entry!.id}/restore`).expect(200)
    await owner.query("UPDATE basins SET deleted_at = now() - interval '31 days' WHERE id = $1", [
      entry!.id,
    ])
    expect((await sweep()).gone).toBe(1)
    await guest.agent.post(`/api/basins/${entry!.id}/restore`).expect(404)
  })
})
