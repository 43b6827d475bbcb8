import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { BasinAnswer, BasinFile, PartsAnswer } from '@yew-basin/contract'
import { solveBasin } from '@yew-basin/core'
import { anApp, Guest, problem, type TestApp, ownerOf } from './an-app.ts'

let app: TestApp
let guest: Guest
beforeAll(async () => {
  app = await anApp()
  guest = await Guest.arrive(app)
})
afterAll(() => app.close())

describe('a new guest', () => {
  test('finds a copy of the demo, in order, each with a problem to find', async () => {
    await guest.shelf()
    await app.work()
    const shelf = await guest.shelf()
    expect(shelf.map((entry) => entry.name)).toEqual(['Lantern', 'Thimble', 'Two Sisters'])
    for (const { figures } of shelf) expect(figures!.worst!.severity).not.toBe('fine')
  })
  test('keeps the workspace when asking again', async () => {
    const before = (await guest.shelf()).map((entry) => entry.id)
    await guest.agent.post('/api/workspace').expect(200)
    expect((await guest.shelf()).map((entry) => entry.id)).toEqual(before)
  })
  test('finds at least 12 pumps, small to large', async () => {
    const { parts } = (await guest.agent.get('/api/parts').expect(200)).body as PartsAnswer
    const pumps = parts.flatMap((part) => (part.kind === 'pump' ? [part.spec] : []))
    expect(pumps.length).toBeGreaterThanOrEqual(12)
    expect(new Set(pumps.map((pump) => pump.control))).toEqual(
      new Set(['fixed-speed', 'controllable']),
    )
  })
})

describe('basins', () => {
  test('begins in the sizes of the keeper’s shop', async () => {
    const sizeOf = async (units?: string) => {
      const sent = { name: 'Mine', ...(units ? { units } : {}) }
      const made = await guest.agent.post('/api/basins').send(sent).expect(201)
      const { design } = (made.body as BasinAnswer).current
      expect(solveBasin(design).findings.map(({ code }) => code)).toEqual(['flow-as-wanted'])
      return [design.returnSide.lines[0]!.run.size.series, design.tanks[0]!.lengthM]
    }
    expect(await sizeOf()).toEqual(['pn-16', 0.9])
    expect(await sizeOf('metric')).toEqual(['pn-16', 0.9])
    expect(await sizeOf('us')).toEqual(['schedule-40', 36 * 0.0254])
    await guest.agent.post('/api/basins').send({ name: 'Mine', units: 'cubits' }).expect(422)
  })
  test('are made, renamed, duplicated, deleted and brought back', async () => {
    const made = (await guest.agent.post('/api/basins').send({ name: 'Mine' }).expect(201))
      .body as BasinAnswer
    expect(made.current.revision).toBe(1)
    expect(solveBasin(made.current.design).findings.map((finding) => finding.code)).toEqual([
      'flow-as-wanted',
    ])

    await guest.agent
      .patch(`/api/basins/${made.id}`)
      .set('If-Match', '"1"')
      .send({ name: 'Ours' })
      .expect(200)
    const copy = (await guest.agent.post(`/api/basins/${made.id}/duplicate`).expect(201))
      .body as BasinAnswer
    expect(copy).toMatchObject({ name: 'Ours copy', current: { design: made.current.design } })
    expect(copy.current.id).not.toBe(made.current.id)

    await guest.agent.delete(`/api/basins/${made.id}`).set('If-Match', '"2"').expect(204)
    await guest.agent.get(`/api/basins/${made.id}`).expect(404)
    await guest.agent.get(`/api/designs/${made.current.id}`).expect(404)
    await guest.agent.post(`/api/basins/${made.id}/restore`).expect(200)
    expect((await guest.open('Ours')).id).toBe(made.id)
  })
  test.each([
    [{}],
    [{ name: '' }],
    [{ name: 'x'.repeat(81) }],
    [{ name: 5 }],
    [{ name: 'a', extra: 1 }],
  ])('a name that cannot be is refused with the field: %j', async (body) => {
    const refused = await guest.agent.post('/api/basins').send(body).expect(422)
    expect(refused.type).toBe('application/problem+json')
    expect(problem(refused).faults!.length).toBeGreaterThan(0)
  })
  test('survive a name full of SQL and markup', async () => {
    const name = `'; DROP TABLE basins; -- <b>"`
    await guest.agent.post('/api/basins').send({ name }).expect(201)
    expect((await guest.open(name)).name).toBe(name)
  })
})

describe('files', () => {
  const exported = async (name: string) => {
    const { id } = await guest.open(name)
    const answer = await guest.agent.get(`/api/basins/${id}/export`).expect(200)
    return { answer, file: answer.body as BasinFile }
  }
  test('an exported basin comes back in as it was', async () => {
    const { answer, file } = await exported('Lantern')
    expect(answer.headers['content-disposition']).toContain('Lantern.yew-basin.json')
    const before = (await guest.shelf()).length
    const brought = (await guest.agent.post('/api/basins/import').send(file).expect(201))
      .body as BasinAnswer
    expect(brought.current.design).toEqual(file.designs[0]!.design)
    expect(await guest.shelf()).toHaveLength(before + 1)
  })
  test('a bad file names each fault and leaves nothing behind', async () => {
    const { file } = await exported('Lantern')
    const before = await guest.shelf()
    const bad = structuredClone(file) as unknown as {
      name: string
      designs: { design: { tanks: { lengthM: number }[] } }[]
    }
    bad.name = ''
    bad.designs[0]!.design.tanks[0]!.lengthM = -4
    const refused = await guest.agent.post('/api/basins/import').send(bad).expect(422)
    expect(problem(refused).faults!.map((fault) => fault.path)).toEqual([
      'name',
      'designs[0].design.tanks[0].lengthM',
    ])
    expect(await guest.shelf()).toEqual(before)
  })
  test('a file that the database refuses half-way leaves nothing behind', async () => {
    const { file } = await exported('Lantern')
    const before = await guest.shelf()
    const owner = await ownerOf(app)
    await owner.query("ALTER TABLE designs ADD CONSTRAINT no_poison CHECK (name <> 'poison')")
    const second = { ...file.designs[0], name: 'poison', current: false }
    await guest.agent
      .post('/api/basins/import')
      .send({ ...file, designs: [file.designs[0], second] })
      .expect(500)
    await owner.query('ALTER TABLE designs DROP CONSTRAINT no_poison')
    await owner.end()
    expect(await guest.shelf()).toEqual(before)
  })
  test('what is no JSON, no object or too large is reported as that', async () => {
    const send = (text: string, type = 'application/json') =>
      guest.agent.post('/api/basins/import').set('Content-Type', type).send(text)
    expect(problem(await send('{').expect(400)).code).toBe('bad-request')
    expect(problem(await send('[]').expect(422)).code).toBe('invalid')
    expect(problem(await send('x', 'text/plain').expect(415)).code).toBe('not-json')
    expect(
      problem(await send(JSON.stringify({ name: 'x'.repeat(3_000_000) })).expect(413)).code,
    ).toBe('too-large')
  })
})
