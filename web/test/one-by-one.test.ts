import { expect, test } from '@jest/globals'
import { oneByOne } from '../src/calc/one-by-one.ts'

/** A question that is answered when its asker says so. */
function aQuestion(answer: string) {
  let done = () => undefined as void
  let begun = 0
  const ask = () => {
    begun++
    return new Promise<string>((resolve) => (done = () => resolve(answer)))
  }
  return { ask, done: () => done(), begun: () => begun }
}
const soon = () => new Promise<void>((resolve) => setTimeout(resolve, 0))

test('questions are asked one after the other, in their order', async () => {
  const inTurn = oneByOne()
  const [first, second] = [aQuestion('one'), aQuestion('two')]
  const answers = [inTurn(first.ask), inTurn(second.ask)]
  await soon()
  expect([first.begun(), second.begun()]).toEqual([1, 0])
  first.done()
  await soon()
  expect(second.begun()).toBe(1)
  second.done()
  expect(await Promise.all(answers)).toEqual(['one', 'two'])
})

test('one that nobody waits for leaves while another is still being answered', async () => {
  const inTurn = oneByOne()
  const [long, dropped, last] = [aQuestion('long'), aQuestion('dropped'), aQuestion('last')]
  const first = inTurn(long.ask)
  let wanted = true
  const given = { isWanted: () => wanted, otherwise: 'nothing' }
  const left = inTurn(dropped.ask, given)
  wanted = false
  const then = inTurn(last.ask)
  // The long one is not over, and the one given up is.
  expect(await left).toBe('nothing')
  expect(dropped.begun()).toBe(0)
  long.done()
  await soon()
  last.done()
  expect(await Promise.all([first, then])).toEqual(['long', 'last'])
})

test('one that fails holds up nobody', async () => {
  const inTurn = oneByOne()
  const failed = inTurn(() => {
    throw new Error('no')
  })
  const then = inTurn(() => Promise.resolve('yes'))
  await expect(failed).rejects.toThrow('no')
  expect(await then).toBe('yes')
})
