import { describe, expect, test } from '@jest/globals'
import { ERRORS, type ErrorCode, type Problem } from '@yew-basin/contract'
import express, { type ErrorRequestHandler, type RequestHandler } from 'express'
import { ConnectionRefusedError } from 'sequelize'
import request from 'supertest'
import { bodyAs, idFrom, ifMatch, jsonOnly } from '../src/http/body.ts'
import { answerProblem, noSuchAddress } from '../src/http/problems.ts'
import { Refusal } from '../src/http/refusal.ts'
import { atMostFromAddress, ownOriginOnly } from '../src/http/security.ts'

/** An application of one address, and what it logs as a fault of ours. */
function anApi(...handlers: (RequestHandler | ErrorRequestHandler)[]) {
  const logged: unknown[] = []
  const app = express()
  app.use((incoming, _response, next) => {
    incoming.log = {
      error: (error: unknown) => logged.push(error),
    } as unknown as typeof incoming.log
    next()
  })
  app.use('/x{/:id}', ...(handlers as RequestHandler[]))
  app.use(noSuchAddress)
  app.use(answerProblem)
  return { app, logged }
}

const throws = (error: unknown): RequestHandler => {
  return () => {
    throw error
  }
}
const fine: RequestHandler = (_request, response) => void response.json({ fine: true })

/** What is answered where something is thrown. */
async function answered(error: unknown): Promise<{ problem: Problem; logged: unknown[] }> {
  const { app, logged } = anApi(throws(error))
  const answer = await request(app).get('/x')
  expect(answer.type).toBe('application/problem+json')
  expect(answer.status).toBe((answer.body as Problem).status)
  return { problem: answer.body as Problem, logged }
}

describe('what goes wrong', () => {
  test.each(Object.keys(ERRORS) as ErrorCode[])(
    '%s is answered with its status and title',
    async (code) => {
      const { problem } = await answered(new Refusal(code, 'Because of this.'))
      expect(problem).toMatchObject({ code, ...ERRORS[code], detail: 'Because of this.' })
      expect(problem.type).toBe(`urn:yew-basin:problem:${code}`)
    },
  )
  test('carries faults and what stands there now, where it has them', async () => {
    const faults = [{ path: 'name', message: 'is needed' }]
    const { problem } = await answered(
      new Refusal('invalid', 'Some fields cannot be as sent.', {
        faults,
        current: { revision: 3 },
      }),
    )
    expect(problem).toMatchObject({ faults, current: { revision: 3 } })
    const plain = (await answered(new Refusal('not-found', 'No.'))).problem
    expect(Object.keys(plain).sort()).toEqual(['code', 'detail', 'status', 'title', 'type'])
  })
  test('that is no refusal is a fault of ours: logged, and told without its words', async () => {
    const secret = new Error('password=hunter2')
    const { problem, logged } = await answered(secret)
    expect(problem.code).toBe('server-fault')
    expect(JSON.stringify(problem)).not.toContain('hunter2')
    expect(logged).toEqual([secret])
  })
  test.each([
    ['the driver’s refusal', new ConnectionRefusedError(new Error('no'))],
    ['a system error', Object.assign(new Error('x'), { code: 'ECONNREFUSED' })],
    ['a shutdown', Object.assign(new Error('x'), { code: '57P01' })],
    ['a lost connection', Object.assign(new Error('x'), { code: '08006' })],
    ['one that was terminated', new Error('Connection terminated unexpectedly')],
    [
      'one that was known to be lost',
      new Error('Client has encountered a connection error and is not queryable'),
    ],
    ['one behind another', Object.assign(new Error('x'), { parent: { code: 'EPIPE' } })],
    ['the cause of another', new Error('x', { cause: { code: 'ECONNRESET' } })],
  ])('%s says that the database does not answer, and is not logged as ours', async (_, error) => {
    const { problem, logged } = await answered(error)
    expect([problem.code, logged]).toEqual(['no-database', []])
    expect(problem.detail).toContain('safe')
  })
  test.each([
    ['23505', 'a constraint'],
    ['42501', 'a permission'],
  ])('%s, %s, is no lost database', async (code) => {
    const { problem } = await answered(Object.assign(new Error('x'), { code }))
    expect(problem.code).toBe('server-fault')
  })
  test('a body that is too large, or no JSON, says so', async () => {
    const { app } = anApi(express.json({ limit: 100 }), fine)
    const large = await request(app)
      .post('/x')
      .send({ note: 'x'.repeat(200) })
    expect([large.status, (large.body as Problem).code]).toEqual([413, 'too-large'])
    const torn = await request(app)
      .post('/x')
      .set('Content-Type', 'application/json')
      .send('{"name": ')
    expect([torn.status, (torn.body as Problem).code]).toEqual([400, 'bad-request'])
  })
  test('nothing is nothing: an error of no kind is still answered', async () => {
    for (const error of ['a word', 7, { status: 418, message: 'tea' }]) {
      const { problem } = await answered(error)
      expect(['server-fault', 'bad-request']).toContain(problem.code)
    }
  })
  test('an address that is none names itself', async () => {
    const { app } = anApi(fine)
    const answer = await request(app).delete('/nowhere')
    expect((answer.body as Problem).detail).toBe('DELETE /nowhere is no address of this API.')
  })
})

describe('a request', () => {
  test('that changes something carries JSON or nothing', async () => {
    const { app } = anApi(jsonOnly, fine)
    await request(app).post('/x').expect(200)
    await request(app).post('/x').send({ a: 1 }).expect(200)
    await request(app).post('/x').set('Content-Type', 'text/plain').send('a').expect(415)
    await request(app).post('/x').type('form').send('a=1').expect(415)
  })
  test('names its revision as a whole number, quoted or not', async () => {
    const says: RequestHandler = (incoming, response) =>
      void response.json({ at: ifMatch(incoming) })
    const { app } = anApi(says)
    const at = async (header?: string) => {
      const asked = request(app).put('/x')
      const answer = await (header === undefined ? asked : asked.set('If-Match', header))
      return answer.status === 200 ? (answer.body as { at: number }).at : answer.status
    }
    expect(await at('"7"')).toBe(7)
    expect(await at('7')).toBe(7)
    for (const nonsense of [undefined, '', '*', '"x"', '-1', '1.5', '99999999999', '"7", "8"']) {
      expect([nonsense, await at(nonsense)]).toEqual([nonsense, 428])
    }
  })
  test('has an id that is one', async () => {
    const says: RequestHandler = (incoming, response) =>
      void response.json({ id: idFrom(incoming) })
    const { app } = anApi(says)
    const id = '0b5f6a7e-1111-4222-8333-444455556666'
    expect((await request(app).get(`/x/${id}`).expect(200)).body).toEqual({ id })
    await request(app).get(`/x/${id.toUpperCase()}`).expect(200)
    for (const nonsense of ['1', `${id}0`, 'null', '%00', `${id.slice(1)}`, "';DROP"]) {
      await request(app)
        .get(`/x/${encodeURIComponent(nonsense)}`)
        .expect(404)
    }
  })
  test('of another site is refused only where it changes something', async () => {
    const { app } = anApi(ownOriginOnly, fine)
    const elsewhere = { Origin: 'http://elsewhere.example' }
    await request(app).get('/x').set(elsewhere).expect(200)
    await request(app).head('/x').set(elsewhere).expect(200)
    for (const change of ['post', 'put', 'patch', 'delete'] as const) {
      await request(app)[change]('/x').set(elsewhere).expect(403)
      await request(app)[change]('/x').expect(200)
    }
  })
  test('is one of so many, and no more', async () => {
    const { app } = anApi(atMostFromAddress({ limit: 2, minutes: 1 }), fine)
    await request(app).get('/x').expect(200)
    await request(app).get('/x').expect(200)
    const answer = await request(app).get('/x').expect(429)
    expect((answer.body as Problem).detail).toBe('No more than 2 in 1 min from one address.')
  })
  test('whose body is checked names every field, or is given as its class', () => {
    class Anything {}
    expect(() => bodyAs(Anything, { body: null } as never)).toThrow(Refusal)
    expect(() => bodyAs(Anything, { body: { unknown: 1 } } as never)).toThrow(/cannot be as sent/)
  })
})
