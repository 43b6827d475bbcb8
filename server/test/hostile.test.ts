import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { BasinFile, PartAnswer } from '@yew-basin/contract'
import { connect as connectTo, type AddressInfo, type Server } from 'node:net'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { Writable } from 'node:stream'
import pg from 'pg'
import { pino } from 'pino'
import { fuzzRequests, type Footholds } from '../../tools/attack/fuzz-requests.ts'
import { LOG_OPTIONS } from '../src/http/log.ts'
import { anApp, Guest, problem, type TestApp } from './an-app.ts'

let app: TestApp
let server: Server
let guest: Guest
let holds: Footholds
beforeAll(async () => {
  app = await anApp()
  guest = await Guest.arrive(app)
  server = app.app.listen(0, '127.0.0.1')
  await new Promise((listening) => server.once('listening', listening))
  holds = await footholds()
})
afterAll(async () => {
  await new Promise((closed) => server.close(closed))
  await app.close()
})

const VALVE = { kind: 'valve', name: 'Mine', spec: { form: 'gate', kvM3PerH: 22 } }

async function footholds(): Promise<Footholds> {
  const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  const arrived = await fetch(`${origin}/api/workspace`, { method: 'POST' })
  const cookie = arrived.headers.getSetCookie()[0]!.split(';')[0]!
  const asked = async (path: string, init: RequestInit = {}) =>
    (await fetch(`${origin}/api${path}`, {
      ...init,
      headers: { Cookie: cookie, 'Content-Type': 'application/json' },
    }).then((answer) => answer.json())) as unknown
  const { entries } = (await asked('/basins')) as { entries: { id: string }[] }
  const basin = (await asked(`/basins/${entries[0]!.id}`)) as Awaited<ReturnType<Guest['open']>>
  const part = (await asked('/parts', {
    method: 'POST',
    body: JSON.stringify(VALVE),
  })) as PartAnswer
  const file = (await asked(`/basins/${basin.id}/export`)) as BasinFile
  return {
    origin,
    cookie,
    basinId: basin.id,
    designId: basin.current.id,
    partId: part.id,
    tankId: basin.current.design.tanks[0]!.id,
    design: basin.current.design,
    file,
    part: VALVE,
  }
}

test('of 800 requests, most of them wrong, none is a fault of ours', async () => {
  const report = await fuzzRequests(holds, { count: 800, seed: 5 })
  expect(report.wrong).toEqual([])
  // Both kinds were among them.
  expect(report.statuses[200]).toBeGreaterThan(20)
  expect(report.statuses[422]).toBeGreaterThan(50)
  expect(report.slowestMs).toBeLessThan(10_000)
}, 120_000)

describe('a huge body', () => {
  const many = 150_000
  const ids = Array.from({ length: many }, (_, i) => ({ id: `l${i}` }))
  const HUGE: readonly [string, () => string][] = [
    ['of 150 000 ids', () => JSON.stringify({ design: { drains: ids } })],
    [
      'of 150 000 unknown keys',
      () => JSON.stringify({ design: Object.fromEntries(ids.map(({ id }) => [id, 1])) }),
    ],
    ['of 900 kB of text', () => JSON.stringify({ design: 'x'.repeat(900_000) })],
    ['nested without an end', () => `{"design":${'['.repeat(20_000)}${']'.repeat(20_000)}}`],
  ]
  test.each(HUGE)('%s is refused, and holds nobody else up', async (_, make) => {
    const { current } = await guest.open('Lantern')
    const body = make()
    const delay = monitorEventLoopDelay({ resolution: 5 })
    delay.enable()
    const answer = await fetch(`${holds.origin}/api/designs/${current.id}`, {
      method: 'PUT',
      headers: { Cookie: holds.cookie, 'Content-Type': 'application/json', 'If-Match': '1' },
      body,
    })
    delay.disable()
    expect([413, 422, 400]).toContain(answer.status)
    await answer.text()
    expect(delay.max / 1e6).toBeLessThan(500)
  })
})

describe('a request that is broken off', () => {
  const half = 'PUT /api/designs/1 HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\n'
  test.each([
    ['in its headers', half],
    ['in its body', `${half}Content-Length: 1000\r\nCookie: @\r\n\r\n{"design":`],
    ['before its first word', ''],
    [
      'with a length it does not keep',
      `${half}Content-Length: 3\r\nCookie: @\r\n\r\n{"design":{}}`,
    ],
    ['and is no HTTP', '\u0000\u0001 nothing of the kind\r\n\r\n'],
  ])('%s ends nothing', async (_, text) => {
    const { port } = server.address() as AddressInfo
    for (let round = 0; round < 5; round++) {
      const socket = connectTo(port, '127.0.0.1')
      socket.on('error', () => undefined)
      await new Promise((connected) => socket.once('connect', connected))
      socket.write(text.replace('@', holds.cookie))
      await new Promise((sent) => setTimeout(sent, 20))
      socket.destroy()
    }
    const answer = await fetch(`${holds.origin}/api/basins`, { headers: { Cookie: holds.cookie } })
    expect(answer.status).toBe(200)
    await answer.text()
  })
})

test('a lost connection to the database ends nothing: the next request goes through', async () => {
  const owner = new pg.Client({ connectionString: app.adminUrl })
  await owner.connect()
  for (let round = 0; round < 10; round++) {
    await guest.shelf()
    const asked = [guest.agent.get('/api/basins'), guest.agent.get('/api/parts')]
    const cut = owner.query(
      "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE usename = 'yew_app' AND datname = current_database()",
    )
    const [answers] = await Promise.all([Promise.all(asked), cut])
    for (const { status, text } of answers) expect([200, 503, text]).toContain(status)
    await guest.agent.get('/api/basins')
    expect((await guest.agent.get('/api/basins')).status).toBe(200)
  }
  await owner.end()
})

test('the log says what went wrong and nothing of what was sent', () => {
  const lines: string[] = []
  const sink = new Writable({
    write: (chunk: Buffer, _encoding, done) => {
      lines.push(chunk.toString())
      done()
    },
  })
  const error = Object.assign(new Error(`invalid value "my secret ${'reef '.repeat(200)}"`), {
    sql: 'INSERT INTO designs VALUES (my secret reef)',
    parameters: ['my secret reef'],
    parent: { code: '22P02', detail: 'my secret reef' },
  })
  pino(LOG_OPTIONS('error'), sink).error(error)
  expect(lines.join('')).toContain('22P02')
  expect(lines.join('')).not.toContain('secret')
  expect(lines.join('').length).toBeLessThan(3000)
})

test('a refusal of the fields of a field route names what is possible', async () => {
  const { current } = await guest.open('Lantern')
  const answer = await guest.agent.get(`/api/fields/${current.id}/%00`).expect(404)
  expect(problem(answer).detail).toContain('no such tank')
})
