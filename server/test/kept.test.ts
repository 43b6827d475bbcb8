import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { BinAnswer, HistoryAnswer, PartAnswer } from '@yew-basin/contract'
import { anApp, Guest, problem, type TestApp } from './an-app.ts'

let app: TestApp
let guest: Guest
beforeAll(async () => {
  app = await anApp()
})
afterAll(() => app.close())
beforeEach(async () => {
  guest = await Guest.arrive(app)
})

/** The things that follow the rules: how one is made, changed, and what a change of it is. */
const THINGS = [
  {
    thing: 'part',
    address: '/api/parts',
    first: { kind: 'valve', name: 'First', spec: { form: 'gate', kvM3PerH: 22 } },
    after: { kind: 'valve', name: 'Then', spec: { form: 'ball', kvM3PerH: 30 } },
    before: { kind: 'valve', name: 'First', spec: { form: 'gate', kvM3PerH: 22 } },
    way: 'put',
  },
  {
    thing: 'basin',
    address: '/api/basins',
    first: { name: 'First' },
    after: { name: 'Then' },
    before: { name: 'First', note: '' },
    way: 'patch',
  },
] as const

describe.each(THINGS)('a $thing', ({ thing, address, first, after, before, way }) => {
  const make = async () =>
    (await guest.agent.post(address).send(first).expect(201)).body as PartAnswer
  const change = (id: string, revision: number | null) => {
    const asked = guest.agent[way](`${address}/${id}`)
    return (revision === null ? asked : asked.set('If-Match', `"${revision}"`)).send(after)
  }

  test('is changed only over the revision that was seen', async () => {
    const { id } = await make()
    await change(id, null).expect(428)
    const answers = await Promise.all([change(id, 1), change(id, 1), change(id, 1)])
    expect(answers.map(({ status }) => status).sort((a, b) => a - b)).toEqual([200, 412, 412])
    const late = problem(await change(id, 1).expect(412))
    expect(late).toMatchObject({
      code: 'revision-moved',
      current: { id, name: 'Then', revision: 2 },
    })
  })
  test('has what it was before kept', async () => {
    const { id } = await make()
    await change(id, 1).expect(200)
    const { entries } = (await guest.agent.get(`${address}/${id}/history`).expect(200))
      .body as HistoryAnswer
    expect(entries).toMatchObject([{ revision: 1, content: before }])
  })
  test('goes to the bin and comes back as it was', async () => {
    const { id } = await make()
    await guest.agent.delete(`${address}/${id}`).expect(428)
    await guest.agent.delete(`${address}/${id}`).set('If-Match', '"9"').expect(412)
    await guest.agent.delete(`${address}/${id}`).set('If-Match', '"1"').expect(204)
    await change(id, 2).expect(404)
    const { entries } = (await guest.agent.get('/api/bin').expect(200)).body as BinAnswer
    expect(entries).toMatchObject([{ thing, id, name: 'First' }])
    const days = (Date.parse(entries[0]!.goneAt) - Date.parse(entries[0]!.deletedAt)) / 86_400_000
    expect(days).toBe(30)
    await guest.agent.post(`${address}/${id}/restore`).expect(200)
    expect(((await guest.agent.get('/api/bin')).body as BinAnswer).entries).toEqual([])
    await change(id, 2).expect(200)
  })
  test('is gone when the bin was emptied, and nothing else is', async () => {
    const [kept, gone] = [await make(), await make()]
    await guest.agent.delete(`${address}/${gone.id}`).set('If-Match', '"1"').expect(204)
    await guest.agent.delete('/api/bin').expect(204)
    await guest.agent.post(`${address}/${gone.id}/restore`).expect(404)
    await change(kept.id, 1).expect(200)
  })
})
