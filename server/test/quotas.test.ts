import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { QUOTAS, type PartsAnswer, type QuotaName, type WorkspaceAnswer } from '@yew-basin/contract'
import { applyEdits, setTo } from '@yew-basin/core'
import type pg from 'pg'
import { anApp, Guest, problem, type TestApp, ownerOf } from './an-app.ts'

let app: TestApp
let owner: pg.Client
let guest: Guest
beforeAll(async () => {
  app = await anApp()
  owner = await ownerOf(app)
})
afterAll(async () => {
  await owner.end()
  await app.close()
})
beforeEach(async () => {
  for (const [name, { most }] of Object.entries(QUOTAS))
    await owner.query('UPDATE quotas SET most = $1 WHERE name = $2', [most, name])
  guest = await Guest.arrive(app)
})

const used = async () =>
  ((await guest.agent.get('/api/workspace').expect(200)).body as WorkspaceAnswer).usage
/** Room for so many more of a thing than this guest has. */
async function roomFor(name: QuotaName, more: number): Promise<void> {
  const { used: now } = (await used())[name]
  await owner.query('UPDATE quotas SET most = $1 WHERE name = $2', [now + more, name])
}
const VALVE = { kind: 'valve', name: 'Mine', spec: { form: 'gate', kvM3PerH: 22 } }
const keepPart = () => guest.agent.post('/api/parts').send(VALVE)
const make = () => guest.agent.post('/api/basins').send({ name: 'Mine' })

describe('a quota', () => {
  test('counts what is there: what is added, deleted and brought back', async () => {
    const before = await used()
    expect([before.basins.used, before.designs.used]).toEqual([3, 3])
    const { id } = (await make().expect(201)).body as { id: string }
    const with_ = await used()
    expect([with_.basins.used, with_.designs.used]).toEqual([4, 4])
    expect(with_.bytes.used).toBeGreaterThan(before.bytes.used + 2000)
    await guest.agent.delete(`/api/basins/${id}`).set('If-Match', '1').expect(204)
    expect((await used()).basins.used).toBe(3)
    // In the bin it still takes its bytes, until the bin is emptied.
    expect((await used()).bytes.used).toBe(with_.bytes.used)
    await guest.agent.delete('/api/bin').expect(204)
    expect(await used()).toEqual(before)
  })
  test('holds against everyone at once: of 24 parts sent together 5 get in', async () => {
    await roomFor('parts', 5)
    const answers = await Promise.all(Array.from({ length: 24 }, keepPart))
    const statuses = answers.map(({ status }) => status)
    expect(statuses.filter((status) => status === 201)).toHaveLength(5)
    expect(statuses.filter((status) => status === 409)).toHaveLength(19)
    const { parts } = (await guest.agent.get('/api/parts')).body as PartsAnswer
    expect(parts.filter(({ own }) => own)).toHaveLength(5)
  })
  test('that is used up says which, and what to do', async () => {
    await roomFor('basins', 0)
    const refused = problem(await make().expect(409))
    expect(refused).toMatchObject({ code: 'over-quota', quota: 'basins' })
    expect(refused.detail).toMatch(/basins on your shelf.*Delete one/)
  })
  test('refuses a save whole: nothing of it is kept, and the same save goes through when there is room', async () => {
    const { current } = await guest.open('Lantern')
    const wider = {
      ...current,
      design: applyEdits(current.design, [setTo(['tanks', 0, 'widthM'], 0.7)]),
    }
    await roomFor('bytes', 100)
    const refused = problem(await guest.save(wider).expect(409))
    expect(refused).toMatchObject({ code: 'over-quota', quota: 'bytes' })
    expect((await guest.open('Lantern')).current.revision).toBe(1)
    await roomFor('bytes', 1_000_000)
    await guest.save(wider).expect(200)
  })
  test('of basins does not let one be brought back beyond it', async () => {
    const { id } = (await make().expect(201)).body as { id: string }
    await guest.agent.delete(`/api/basins/${id}`).set('If-Match', '1').expect(204)
    await roomFor('basins', 0)
    await guest.agent.post(`/api/basins/${id}/restore`).expect(409)
  })
})
