import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { PART_KINDS, type PartAnswer } from '@yew-basin/contract'
import request from 'supertest'
import { anApp, type TestApp } from './an-app.ts'

let app: TestApp
beforeAll(async () => {
  app = await anApp()
})
afterAll(() => app.close())

/** A visitor with a workspace of their own. */
async function aGuest() {
  const agent = request.agent(app.app)
  await agent.post('/api/workspace').expect((answer) => answer.status < 300)
  return agent
}
const VALVE = { kind: 'valve', name: 'My gate', spec: { form: 'gate', kvM3PerH: 22 } }
const PUMP = {
  kind: 'pump',
  name: 'My pump',
  spec: {
    id: 'x',
    name: 'x',
    control: 'fixed-speed',
    mounting: 'either',
    curve: [
      { flowM3PerS: 0, headM: 2 },
      { flowM3PerS: 0.0005, headM: 0 },
    ],
    shutOffHeadM: null,
    maxFlowM3PerS: null,
    ratedPowerW: 20,
    power: [],
    outletBoreM: 0.02,
    inletBoreM: null,
    leastDepthM: null,
    leastSpeed: 1,
    priceClass: null,
    size: null,
  },
}
type Listing = { parts: PartAnswer[] }

describe('parts', () => {
  test('the library holds every kind, and none of it is the keeper’s own', async () => {
    const guest = await aGuest()
    const { parts } = (await guest.get('/api/parts').expect(200)).body as Listing
    expect(new Set(parts.map(({ kind }) => kind))).toEqual(new Set(PART_KINDS))
    expect(parts.every(({ own }) => !own)).toBe(true)
  })
  test('one’s own is kept, changed and taken away; a pump joins the pump list', async () => {
    const guest = await aGuest()
    const kept = (await guest.post('/api/parts').send(PUMP).expect(201)).body as PartAnswer
    expect(kept).toMatchObject({
      own: true,
      name: 'My pump',
      spec: { id: kept.id, name: 'My pump' },
    })
    const { parts } = (await guest.get('/api/parts').expect(200)).body as Listing
    expect(parts.find(({ kind }) => kind === 'pump')!.id).toBe(kept.id)
    const at = (revision: number) => ({ 'If-Match': `"${revision}"` })
    const address = `/api/parts/${kept.id}`
    await guest
      .put(address)
      .set(at(1))
      .send({ ...PUMP, name: 'Better' })
      .expect(200)
    await guest.put(address).set(at(2)).send(VALVE).expect(422)
    await guest.delete(address).set(at(2)).expect(204)
    await guest.delete(address).set(at(3)).expect(404)
  })
  test('nobody reaches another’s', async () => {
    const [one, other] = [await aGuest(), await aGuest()]
    const kept = (await one.post('/api/parts').send(VALVE).expect(201)).body as PartAnswer
    const { parts } = (await other.get('/api/parts')).body as Listing
    expect(parts.some(({ id }) => id === kept.id)).toBe(false)
    await other.put(`/api/parts/${kept.id}`).set('If-Match', '1').send(VALVE).expect(404)
    await other.delete(`/api/parts/${kept.id}`).set('If-Match', '1').expect(404)
  })
  test('the sample library can’t be changed', async () => {
    const guest = await aGuest()
    await guest.put('/api/parts/gate-20').set('If-Match', '1').send(VALVE).expect(404)
    await guest.delete('/api/parts/gate-20').set('If-Match', '1').expect(404)
  })
  test.each([
    ['no kind', { ...VALVE, kind: 'tap' }, 'kind'],
    ['no name', { ...VALVE, name: ' ' }, 'name'],
    [
      'a coefficient out of reach',
      { ...VALVE, spec: { form: 'gate', kvM3PerH: -1 } },
      'spec.kvM3PerH',
    ],
    ['a spec of another kind', { ...VALVE, kind: 'nozzle' }, 'spec.form'],
    ['no spec', { kind: 'valve', name: 'x' }, 'spec'],
    [
      'a hose among the pipes',
      { kind: 'pipe', name: 'x', spec: { series: 'smooth-hose', size: '20', boreM: null } },
      'spec.series',
    ],
    [
      'a curve that rises',
      { ...PUMP, spec: { ...PUMP.spec, curve: [...PUMP.spec.curve].reverse() } },
      'spec.curve',
    ],
  ])('%s is refused by its field', async (_, body, path) => {
    const guest = await aGuest()
    const answer = await guest.post('/api/parts').send(body).expect(422)
    const { faults } = answer.body as { faults: { path: string }[] }
    expect(faults.map((fault) => fault.path)).toContain(path)
  })
})
