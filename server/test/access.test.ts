import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { PartAnswer, RecoveryKeyAnswer } from '@yew-basin/contract'
import request from 'supertest'
import { allRoutes } from '../src/http/all-routes.ts'
import { anApp, Guest, NO_JOBS, type TestApp } from './an-app.ts'

let app: TestApp
let owner: Guest
let other: Guest
/** What the owner has, by the name it has in an address. */
let ids: Readonly<Record<'basin' | 'design' | 'part' | 'tank', string>>

beforeAll(async () => {
  app = await anApp()
  owner = await Guest.arrive(app)
  other = await Guest.arrive(app)
  const basin = await owner.open('Lantern')
  const part = (await owner.agent.post('/api/parts').send(VALVE)).body as PartAnswer
  ids = {
    basin: basin.id,
    design: basin.current.id,
    part: part.id,
    tank: basin.current.design.tanks[0]!.id,
  }
})
afterAll(() => app.close())

const VALVE = { kind: 'valve', name: 'Mine', spec: { form: 'gate', kvM3PerH: 22 } }

/**
 * Every address: what the owner, another guest and nobody are answered. An address without a row here fails the
 * test, and so does a row without an address.
 */
const TABLE: Readonly<Record<string, readonly [owner: number, other: number, none: number]>> = {
  'post /workspace': [200, 200, 201],
  'get /workspace': [200, 200, 401],
  'post /workspace/recovery-key': [201, 201, 401],
  // Whoever has a right key is let in: here nobody has one.
  'post /workspace/recover': [404, 404, 404],
  'get /basins': [200, 200, 401],
  'post /basins': [422, 422, 401],
  'post /basins/import': [422, 422, 401],
  'get /basins/:id': [200, 404, 401],
  'patch /basins/:id': [412, 404, 401],
  'delete /basins/:id': [412, 404, 401],
  'post /basins/:id/restore': [200, 404, 401],
  'post /basins/:id/duplicate': [201, 404, 401],
  'get /basins/:id/export': [200, 404, 401],
  'get /basins/:id/history': [200, 200, 401],
  'get /designs/:id': [200, 404, 401],
  'put /designs/:id': [422, 422, 401],
  'get /designs/:id/revisions/before/:revision': [200, 404, 401],
  'get /parts': [200, 200, 401],
  'post /parts': [422, 422, 401],
  'put /parts/:id': [412, 404, 401],
  'delete /parts/:id': [412, 404, 401],
  'post /parts/:id/restore': [200, 404, 401],
  'get /parts/:id/history': [200, 200, 401],
  'get /fields/:id/:tankId': [204, 404, 401],
  'put /fields/:id/:tankId': [422, 422, 401],
  'get /fields/:id/:tankId/kept': [200, 404, 401],
  'get /fields/:id/:tankId/kept/:name': [204, 404, 401],
  'put /fields/:id/:tankId/kept/:name': [422, 422, 401],
  'delete /fields/:id/:tankId/kept/:name': [404, 404, 401],
  'get /basins/:id/shopping': [200, 404, 401],
  'patch /basins/:id/shopping': [422, 422, 401],
  'get /bin': [200, 200, 401],
  'delete /bin': [204, 204, 401],
}

const BODIES: Readonly<Record<string, object>> = {
  'post /workspace/recover': { key: 'nobody has this' },
  'patch /basins/:id': { name: 'Taken' },
  'put /parts/:id': VALVE,
}

const ROUTES = allRoutes({ sequelize: null as never, jobs: NO_JOBS })
const nameOf = ({ method, path }: { method: string; path: string }) => `${method} ${path}`

test('every address of the API has its row, and every row its address', () => {
  expect(Object.keys(TABLE).sort()).toEqual(ROUTES.map(nameOf).sort())
})

function ask(agent: ReturnType<typeof request.agent>, route: (typeof ROUTES)[number]) {
  const thing = route.path.split('/')[1]!
  const id = thing === 'basins' ? ids.basin : thing === 'parts' ? ids.part : ids.design
  const address = route.path
    .replace(':id', id)
    .replace(':tankId', ids.tank)
    .replace(':revision', '2')
  const asked = agent[route.method](`/api${address}`).set('If-Match', '"7"')
  if (route.bytes) return asked.type('application/octet-stream').send(Buffer.from('no field'))
  return route.method === 'get' ? asked : asked.send(BODIES[nameOf(route)] ?? {})
}

describe.each(ROUTES.map((route) => [nameOf(route), route] as const))('%s', (name, route) => {
  const [mine, theirs, nobody] = TABLE[name] ?? [0, 0, 0]
  test('answers its owner, another guest and nobody as the table has it', async () => {
    expect([name, (await ask(owner.agent, route)).status]).toEqual([name, mine])
    expect([name, (await ask(other.agent, route)).status]).toEqual([name, theirs])
    expect([name, (await ask(request.agent(app.app), route)).status]).toEqual([name, nobody])
  })
})

test('another guest is shown no history of what is not theirs', async () => {
  await owner.agent.patch(`/api/basins/${ids.basin}`).set('If-Match', '1').send({ name: 'Named' })
  const seen = async (guest: Guest) =>
    ((await guest.agent.get(`/api/basins/${ids.basin}/history`)).body as { entries: unknown[] })
      .entries.length
  expect([await seen(owner), await seen(other)]).toEqual([1, 0])
})

test('the key alone opens the shelf in another browser; it is nowhere kept', async () => {
  const { key } = (await owner.agent.post('/api/workspace/recovery-key')).body as RecoveryKeyAnswer
  const browser = await Guest.arrive(app)
  const small = key.toLowerCase().replace(/-/g, ' ')
  await browser.agent.post('/api/workspace/recover').send({ key: small }).expect(200)
  expect((await browser.shelf()).map(({ id }) => id)).toContain(ids.basin)
  const wrong = key.replace(/.$/, (last) => (last === 'A' ? 'B' : 'A'))
  await browser.agent.post('/api/workspace/recover').send({ key: wrong }).expect(404)
})

describe('the second wall', () => {
  const TABLES = [
    'workspaces',
    'basins',
    'designs',
    'revisions',
    'fields',
    'own_parts',
    'shopping',
    'history',
  ]
  test.each(TABLES)('%s shows nothing to who names no workspace', async (table) => {
    const [rows] = await app.sequelize.query(`SELECT 1 FROM ${table}`)
    expect(rows).toEqual([])
  })
  test.each(['workspaces', 'basins', 'designs', 'revisions', 'own_parts', 'shopping', 'history'])(
    'no row of %s can be deleted by the application',
    async (table) => {
      await expect(app.sequelize.query(`DELETE FROM ${table}`)).rejects.toThrow(/permission/)
    },
  )
  test('a row cannot be given to another workspace', async () => {
    const { current } = await other.open('Lantern')
    await expect(
      app.sequelize.transaction(async (transaction) => {
        const at = { transaction, replacements: { id: current.id } }
        await app.sequelize.query(
          `SELECT set_config('yew.workspace', (SELECT id::text FROM new_guest()), true)`,
          at,
        )
        await app.sequelize.query(
          `INSERT INTO basins (id, workspace_id, name, note, created_at)
           VALUES (gen_random_uuid(), gen_random_uuid(), 'x', '', now())`,
          at,
        )
      }),
    ).rejects.toThrow(/row-level security/)
  })
  test('neither role is a superuser, and the functions belong to the tables’ owner', async () => {
    const [roles] = await app.sequelize.query(
      "SELECT rolname FROM pg_roles WHERE rolname IN ('yew_owner', 'yew_app') AND NOT rolsuper ORDER BY 1",
    )
    expect(roles).toEqual([{ rolname: 'yew_app' }, { rolname: 'yew_owner' }])
    await expect(
      app.sequelize.query("SELECT use_quota(gen_random_uuid(), 'bytes', 1)"),
    ).rejects.toThrow(/permission/)
  })
})
