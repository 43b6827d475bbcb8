import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals'
import type { ShoppingAnswer } from '@yew-basin/contract'
import { anApp, Guest, problem, type TestApp } from './an-app.ts'

let app: TestApp
let guest: Guest
let path: string
beforeAll(async () => {
  app = await anApp()
})
afterAll(() => app.close())
beforeEach(async () => {
  guest = await Guest.arrive(app)
  path = `/api/basins/${(await guest.open('Lantern')).id}/shopping`
})

const entry = (key: string, more: object = {}) => ({
  key,
  have: null,
  price: null,
  tickedAt: null,
  tickedBy: null,
  changedAt: '2026-11-20T09:00:00.000Z',
  ...more,
})
const merge = (entries: readonly object[]) => guest.agent.patch(path).send({ entries })

test('what is had, paid and ticked of a list is kept with the basin', async () => {
  expect((await guest.agent.get(path)).body).toEqual({ entries: [] })
  const ticked = { tickedAt: '2026-11-20T08:59:00.000Z', tickedBy: 'Ash' }
  const sent = entry('elbow 90° pn-16 32 glued', { have: 2, price: 1.4, ...ticked })
  const merged = await merge([sent])
  expect([merged.status, merged.body]).toEqual([200, { entries: [sent] }])
  expect((await guest.agent.get(path)).body).toEqual({ entries: [sent] })
})

test('of two devices the later change of a line counts, whichever comes first', async () => {
  await merge([entry('tee', { have: 3, changedAt: '2026-11-20T10:00:00.000Z' })])
  const away = await merge([
    entry('tee', { have: 1, changedAt: '2026-11-20T09:30:00.000Z' }),
    entry('cap', { have: 5, changedAt: '2026-11-20T09:30:00.000Z' }),
  ])
  const { entries } = away.body as ShoppingAnswer
  expect(entries.map(({ key, have }) => [key, have])).toEqual([
    ['cap', 5],
    ['tee', 3],
  ])
})

test('a clock that is ahead does not win for ever', async () => {
  await merge([entry('tee', { have: 3, changedAt: '2099-01-01T00:00:00.000Z' })])
  const now = new Date(Date.now() + 1000).toISOString()
  const later = await merge([entry('tee', { have: 4, changedAt: now })])
  expect((later.body as ShoppingAnswer).entries[0]!.have).toBe(4)
})

test.each([
  ['a negative count', entry('tee', { have: -1 }), 'entries[0].have'],
  ['no key', entry(''), 'entries[0].key'],
  ['a time that is none', entry('tee', { changedAt: 'noon' }), 'entries[0].changedAt'],
  ['a name too long', entry('tee', { tickedBy: 'x'.repeat(41) }), 'entries[0].tickedBy'],
  ['a field too many', entry('tee', { colour: 'red' }), 'entries[0].colour'],
])('%s is refused by its place, and nothing is kept', async (_, wrong, at) => {
  const refused = await merge([wrong])
  expect(refused.status).toBe(422)
  expect(problem(refused).faults?.map(({ path: where }) => where)).toEqual([at])
  expect((await guest.agent.get(path)).body).toEqual({ entries: [] })
})

test('a list is nobody else’s, and a basin that is not there has none', async () => {
  await merge([entry('tee', { have: 3 })])
  const other = await Guest.arrive(app)
  expect((await other.agent.get(path)).status).toBe(404)
  expect((await other.agent.patch(path).send({ entries: [entry('tee')] })).status).toBe(404)
})

test('a list has an end', async () => {
  const keys = (from: number) => Array.from({ length: 400 }, (_, i) => entry(`line ${from + i}`))
  for (const from of [0, 400, 800]) expect((await merge(keys(from))).status).toBe(200)
  expect((await merge(keys(1200))).status).toBe(422)
})
