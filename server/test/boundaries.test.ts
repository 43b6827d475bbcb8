import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { ERRORS } from '@yew-basin/contract'
import request from 'supertest'
import { settingsFrom } from '../src/settings.ts'
import { anApp, Guest, problem, type TestApp, ownerOf } from './an-app.ts'

let app: TestApp
beforeAll(async () => {
  app = await anApp()
})
afterAll(() => app.close())

describe('one guest and another', () => {
  test('never read or write each other’s', async () => {
    const [one, other] = [await Guest.arrive(app), await Guest.arrive(app)]
    const mine = await one.open('Lantern')
    const calls = [
      () => other.agent.get(`/api/basins/${mine.id}`),
      () =>
        other.agent.patch(`/api/basins/${mine.id}`).set('If-Match', '1').send({ name: 'Taken' }),
      () => other.agent.delete(`/api/basins/${mine.id}`).set('If-Match', '1'),
      () => other.agent.post(`/api/basins/${mine.id}/restore`),
      () => other.agent.post(`/api/basins/${mine.id}/duplicate`),
      () => other.agent.get(`/api/basins/${mine.id}/export`),
      () => other.agent.get(`/api/designs/${mine.current.id}`),
      () => other.agent.get(`/api/designs/${mine.current.id}/revisions/before/9`),
      () => other.save(mine.current),
    ]
    for (const call of calls) expect((await call()).status).toBe(404)
    expect(await one.open('Lantern')).toEqual(mine)
  })
  test('without a session nothing is shown', async () => {
    for (const path of ['/api/basins', '/api/basins/00000000-0000-4000-8000-000000000000']) {
      expect(problem(await request(app.app).get(path).expect(401)).code).toBe('no-session')
    }
  })
  test('a forged cookie is no session', async () => {
    const forged =
      's%3Aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa.bbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbb'
    await request(app.app).get('/api/basins').set('Cookie', `yew-0.sid=${forged}`).expect(401)
  })
  test('cookies carry the port’s name; one of another port is none, one of before is taken over', async () => {
    const { headers } = await request(app.app).post('/api/workspace').expect(201)
    const value = String(headers['set-cookie']).split(';')[0]!.split('=')[1]!
    const asked = (name: string) =>
      request(app.app).get('/api/basins').set('Cookie', `${name}=${value}`)
    await asked('yew-4181.sid').expect(401)
    const known = await asked('yew.sid').expect(200)
    expect(String(known.headers['set-cookie'])).toMatch(/^yew-0\.sid=/)
  })
  test('the cookie is signed, HttpOnly and stays on this site', async () => {
    const { headers } = await request(app.app).post('/api/workspace').expect(201)
    const cookie = String(headers['set-cookie'])
    expect(cookie).toMatch(/^yew-0\.sid=s%3A/)
    expect(cookie).toMatch(/HttpOnly/)
    expect(cookie).toMatch(/SameSite=Lax/)
  })
})

describe('requests', () => {
  test('from another site are refused', async () => {
    const send = () => request(app.app).post('/api/workspace')
    expect(problem(await send().set('Origin', 'http://elsewhere.example').expect(403)).code).toBe(
      'foreign-origin',
    )
    await send().set('Origin', 'null').expect(403)
    await send().set('Sec-Fetch-Site', 'cross-site').expect(403)
    await send().set('Host', '127.0.0.1:5').set('Origin', 'http://127.0.0.1:5').expect(201)
  })
  test('to no address, and for ids that are none, answer a problem', async () => {
    const guest = await Guest.arrive(app)
    for (const path of [
      '/api/nothing',
      '/api/basins/1',
      `/api/basins/${'%27'}`,
      '/api/designs/x/revisions/before/1',
    ]) {
      const refused = await guest.agent.get(path).expect(404)
      expect(refused.type).toBe('application/problem+json')
      expect(problem(refused)).toMatchObject({ code: 'not-found', status: 404 })
    }
  })
  test('carry headers that keep the page to itself', async () => {
    const { headers } = await request(app.app).get('/api/parts').expect(401)
    expect(headers['content-security-policy']).toContain("default-src 'self'")
    // compiled loops may run; nothing else that is unsafe
    const policy = headers['content-security-policy']!.replace("'wasm-unsafe-eval'", '')
    expect(policy).not.toContain('unsafe')
    expect(headers['x-content-type-options']).toBe('nosniff')
    expect(headers['x-powered-by']).toBeUndefined()
    expect(headers['cache-control']).toBe('no-store')
  })
})

describe('the database', () => {
  test('gives the application’s role rows and nothing more', async () => {
    await expect(app.sequelize.query('CREATE TABLE mine (id int)')).rejects.toThrow(/permission/)
    await expect(app.sequelize.query('DROP TABLE basins')).rejects.toThrow(/owner/)
    await expect(app.sequelize.query("UPDATE parts SET name = 'x'")).rejects.toThrow(/permission/)
  })
  test('itself refuses a second current design and a revision below 1', async () => {
    const guest = await Guest.arrive(app)
    const { current } = await guest.open('Lantern')
    const owner = await ownerOf(app)
    const twin = `INSERT INTO designs (id, basin_id, workspace_id, name, is_current, format_version, document)
      SELECT gen_random_uuid(), basin_id, workspace_id, name, true, 1, '{}' FROM designs WHERE id = $1`
    await expect(owner.query(twin, [current.id])).rejects.toThrow(/one_current_design/)
    await expect(owner.query('UPDATE designs SET revision = 0')).rejects.toThrow(/check/)
    await owner.end()
  })
})

describe('settings', () => {
  const right = { YEW_DATABASE_URL: 'postgres://x', YEW_SESSION_SECRET: 's' }
  test('say what is missing or wrong', () => {
    expect(() => settingsFrom({})).toThrow(/YEW_DATABASE_URL is not set/)
    expect(() => settingsFrom({ ...right, YEW_PORT: 'x' })).toThrow(
      /port from 0 to 65535; it is "x"/,
    )
    expect(settingsFrom(right)).toMatchObject({ host: '127.0.0.1', webRoot: null })
  })
})

test('every error of the catalogue has a status that is one, and a title', () => {
  for (const { status, title } of Object.values(ERRORS)) {
    expect(status).toBeGreaterThanOrEqual(400)
    expect(title.length).toBeGreaterThan(5)
  }
})
