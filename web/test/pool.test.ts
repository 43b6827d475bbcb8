import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import type { Remote } from 'comlink'
import type { CoreCalls } from '../src/calc/core-calls.ts'
import { oneByOne } from '../src/calc/one-by-one.ts'
import type { Spawned } from '../src/calc/spawn.ts'
import { Cancelled, WorkerPool } from '../src/calc/worker-pool.ts'

/** Workers that answer after a while by doubling what they are asked. */
function someWorkers() {
  const made: { ended: boolean }[] = []
  const spawn = (): Spawned<CoreCalls> => {
    const worker = { ended: false }
    made.push(worker)
    const remote = made.length as unknown as Remote<CoreCalls>
    return { remote, end: () => (worker.ended = true), inTurn: oneByOne() }
  }
  return { made, spawn }
}
const LIST = Array.from({ length: 24 }, (_, i) => i)
const BATCH = 3

/** What a promise is refused with; undefined where it is kept. */
const outcome = (given: Promise<void>) => given.catch((reason: unknown) => reason)

describe('a pool of workers', () => {
  let answers: number[]
  const tell = (some: readonly number[]) => void answers.push(...some)
  const doubles = (ms: number) => (_: Remote<CoreCalls>, some: readonly number[]) =>
    new Promise<number[]>((done) => setTimeout(() => done(some.map((item) => 2 * item)), ms))

  beforeEach(() => {
    answers = []
    jest.useFakeTimers()
    Object.defineProperty(navigator, 'hardwareConcurrency', { value: 4, configurable: true })
  })
  afterEach(() => {
    jest.useRealTimers()
  })

  test('a short list is one worker’s', async () => {
    const { made, spawn } = someWorkers()
    const done = new WorkerPool(spawn).each(LIST, BATCH, doubles(20), tell)
    await jest.runAllTimersAsync()
    await done
    expect(answers).toEqual(LIST.map((item) => 2 * item))
    expect(made).toHaveLength(1)
  })
  test('a long one gets help, a worker a core at the most, and all of it is given once', async () => {
    const { made, spawn } = someWorkers()
    const pool = new WorkerPool(spawn)
    const long = Array.from({ length: 90 }, (_, i) => i)
    const done = pool.each(long, BATCH, doubles(700), tell)
    await jest.runAllTimersAsync()
    await done
    expect(made).toHaveLength(4)
    expect([...answers].sort((a, b) => a - b)).toEqual(long.map((item) => 2 * item))
  })
  test('a list that is superseded tells nobody, and its worker stays for the next', async () => {
    const { made, spawn } = someWorkers()
    const pool = new WorkerPool(spawn)
    const first = outcome(pool.each(LIST, BATCH, doubles(100), tell))
    const second = pool.each([100], BATCH, doubles(10), tell)
    await jest.runAllTimersAsync()
    await second
    expect(await first).toBeInstanceOf(Cancelled)
    expect(answers).toEqual([200])
    expect(made.map(({ ended }) => ended)).toEqual([false])
  })
  test('what was given up before its turn is never asked of a worker that others share', async () => {
    const { spawn } = someWorkers()
    const shared = spawn()
    const asked: number[] = []
    const noting = (_: Remote<CoreCalls>, some: readonly number[]) => {
      asked.push(...some)
      return doubles(100)(_, some)
    }
    const pools = [1, 2, 3].map(() => new WorkerPool(() => shared))
    const all = pools.map((pool, i) => outcome(pool.each([i], BATCH, noting, tell)))
    await jest.advanceTimersByTimeAsync(10)
    pools[1]!.cancel()
    await jest.runAllTimersAsync()
    expect(await all[1]).toBeInstanceOf(Cancelled)
    await Promise.all(all)
    expect(asked).toEqual([0, 2])
    expect(answers).toEqual([0, 4])
  })
  test('cancelled, it ends its workers and says so', async () => {
    const { made, spawn } = someWorkers()
    const pool = new WorkerPool(spawn)
    const cancelled = outcome(pool.each(LIST, BATCH, doubles(100), tell))
    pool.cancel()
    await jest.runAllTimersAsync()
    expect(await cancelled).toBeInstanceOf(Cancelled)
    expect(made.map(({ ended }) => ended)).toEqual([true])
    expect(answers).toEqual([])
  })
  test('a worker that fails, a helper’s too, fails the list', async () => {
    const { spawn } = someWorkers()
    const pool = new WorkerPool(spawn)
    let asked = 0
    const fails = async (calc: Remote<CoreCalls>, some: readonly number[]) => {
      if (++asked === 4) throw new Error('out of memory')
      return doubles(1200)(calc, some)
    }
    const given = outcome(pool.each(LIST, BATCH, fails, tell))
    await jest.runAllTimersAsync()
    expect(await given).toMatchObject({ message: 'out of memory' })
  })
})
