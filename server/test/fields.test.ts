import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { DesignAnswer } from '@yew-basin/contract'
import {
  packField,
  planField,
  domainOf,
  solveBasin,
  type BasinDesign,
  type Field,
} from '@yew-basin/core'
import { anApp, Guest, problem, type TestApp, ownerOf } from './an-app.ts'

let app: TestApp
let guest: Guest
let design: DesignAnswer
beforeAll(async () => {
  app = await anApp()
})
afterAll(() => app.close())
beforeEach(async () => {
  guest = await Guest.arrive(app)
  design = (await guest.open('Lantern')).current
})

/** A field of still water on the tank's own grid. */
function bytesOf(answer: DesignAnswer, of: string): Buffer {
  const domain = domainOf(answer.design, solveBasin(answer.design), 0)
  const { grid, fineness } = planField(domain, 'coarse')!
  const still = () => new Float32Array(grid.fill.length)
  const field: Field = {
    fineness,
    grid,
    rockIds: [],
    passing: {
      inlets: [],
      outlet: null,
    },
    x: still(),
    y: still(),
    z: still(),
    speed: still(),
    peak: still(),
    eddy: still(),
    ranS: 1,
    watchedS: 1,
    patternPace: 1,
    steps: 1,
    massDrift: 0,
  }
  return Buffer.from(packField({ field, of, apart: null }))
}

/** The design with one tank, its drains and its lines less. */
function withoutTank(whole: BasinDesign, id: string): BasinDesign {
  const { returnSide } = whole
  const lines = returnSide.lines.filter(({ end }) => end.id !== id)
  const tees = new Set(lines.filter(({ start }) => start.at === 'tee').map(({ start }) => start.id))
  const tidied = lines.map((line) => ({
    ...line,
    run: {
      ...line.run,
      pieces: line.run.pieces.filter((piece) => piece.kind !== 'tee' || tees.has(piece.id)),
    },
  }))
  return {
    ...whole,
    tanks: whole.tanks.filter((tank) => tank.id !== id),
    drains: whole.drains.filter(({ tankId }) => tankId !== id),
    returnSide: { ...returnSide, lines: tidied },
  }
}

const address = (tankId: string) => `/api/fields/${design.id}/${tankId}`
const put = (who: Guest, tankId: string, body: Buffer, type = 'application/octet-stream') =>
  who.agent.put(address(tankId)).set('Content-Type', type).send(body)
const tankId = () => design.design.tanks[0]!.id

describe('a field', () => {
  test('is kept with its tank, the last one only, and read as it was sent', async () => {
    await guest.agent.get(address(tankId())).expect(204)
    await put(guest, tankId(), bytesOf(design, 'first')).expect(204)
    const second = bytesOf(design, 'second')
    await put(guest, tankId(), second).expect(204)
    const answer = await guest.agent.get(address(tankId())).responseType('blob').expect(200)
    expect(answer.headers['content-type']).toContain('application/octet-stream')
    expect(Buffer.compare(answer.body as Buffer, second)).toBe(0)
  })
  test('of another keeper can neither be read nor written', async () => {
    await put(guest, tankId(), bytesOf(design, 'mine')).expect(204)
    const other = await Guest.arrive(app)
    expect(problem(await other.agent.get(address(tankId())).expect(404)).code).toBe('not-found')
    await put(other, tankId(), bytesOf(design, 'theirs')).expect(404)
    await new Promise((done) => setTimeout(done, 0))
    const answer = await guest.agent.get(address(tankId())).responseType('blob')
    expect(Buffer.compare(answer.body as Buffer, bytesOf(design, 'mine'))).toBe(0)
  })
  test('goes with its tank: a save without the tank takes its row along', async () => {
    const sisters = (await guest.open('Two Sisters')).current
    const east = sisters.design.tanks[1]!.id
    const at = `/api/fields/${sisters.id}/${east}`
    await guest.agent
      .put(at)
      .set('Content-Type', 'application/octet-stream')
      .send(bytesOf(design, 'east'))
      .expect(204)
    const rows = async () => {
      const owner = await ownerOf(app)
      const { rowCount } = await owner.query('SELECT 1 FROM fields WHERE design_id = $1', [
        sisters.id,
      ])
      await owner.end()
      return rowCount
    }
    expect(await rows()).toBe(1)
    const without = withoutTank(sisters.design, east)
    await guest.save({ ...sisters, design: without }).expect(200)
    expect(await rows()).toBe(0)
  })
  test('is kept by a name beside the last one, listed, and dropped', async () => {
    const named = (name: string) => `${address(tankId())}/kept/${encodeURIComponent(name)}`
    const keep = (name: string) =>
      guest.agent
        .put(named(name))
        .set('Content-Type', 'application/octet-stream')
        .send(bytesOf(design, name))
    await put(guest, tankId(), bytesOf(design, 'last')).expect(204)
    await keep('two, offset').expect(204)
    await keep('one').expect(204)
    const list = await guest.agent.get(`${address(tankId())}/kept`).expect(200)
    expect(list.body.kept.map(({ name }: { name: string }) => name)).toEqual(['one', 'two, offset'])
    const read = await guest.agent.get(named('two, offset')).responseType('blob').expect(200)
    expect(Buffer.compare(read.body as Buffer, bytesOf(design, 'two, offset'))).toBe(0)
    const last = await guest.agent.get(address(tankId())).responseType('blob').expect(200)
    expect(Buffer.compare(last.body as Buffer, bytesOf(design, 'last'))).toBe(0)
    await guest.agent.delete(named('one')).expect(204)
    await guest.agent.delete(named('one')).expect(404)
    await guest.agent.get(named('one')).expect(204)
    for (let n = 2; n <= 6; n++) await keep(`field ${n}`).expect(204)
    const refused = problem(await keep('one too many').expect(422))
    expect(refused.faults![0]!.message).toContain('at most 6')
    await keep('field 2').expect(204)
    expect(problem(await keep('  ').expect(422)).faults![0]!.path).toBe('name')
  })
  test('of a tank that is not there is refused', async () => {
    await put(guest, 'pond', bytesOf(design, 'x')).expect(404)
    await guest.agent.get(address('pond')).expect(404)
  })
})

describe('what is no field is refused, and nothing is kept', () => {
  test.each([
    ['bytes of something else', Buffer.from('YBF1 but nothing like it'), 422, 'invalid'],
    ['nothing', Buffer.alloc(0), 422, 'invalid'],
    ['more than a field can be', Buffer.alloc(4_400_000), 413, 'too-large'],
  ] as const)('%s', async (_, body, status, code) => {
    const answer = await put(guest, tankId(), body)
    expect([answer.status, problem(answer).code]).toEqual([status, code])
    await guest.agent.get(address(tankId())).expect(204)
  })
  test('JSON', async () => {
    const answer = await put(guest, tankId(), Buffer.from('{}'), 'application/json').expect(415)
    expect(problem(answer).code).toBe('not-bytes')
  })
  test('bytes anywhere else', async () => {
    const answer = await guest.agent
      .put(`/api/designs/${design.id}`)
      .set('Content-Type', 'application/octet-stream')
      .send(Buffer.from('x'))
      .expect(415)
    expect(problem(answer).code).toBe('not-json')
  })
})

test('compiled loops may run in the pages, scripts from text may not', async () => {
  const policy = (await guest.agent.get('/api/basins')).headers['content-security-policy']!
  expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'")
  expect(policy).not.toContain("'unsafe-eval'")
})
