import { describe, expect, test } from '@jest/globals'
import {
  changed,
  closed,
  deepened,
  redone,
  startHistory,
  undone,
} from '../src/workspace/history.ts'

const stepped = (...states: number[]) =>
  states.reduce(
    (history, state, i) => changed(history, state, `k${i}`, i * 10_000),
    startHistory(0),
  )

describe('history', () => {
  test('undo and redo walk the same states', () => {
    const three = stepped(1, 2, 3)
    expect(undone(undone(three)).present).toBe(1)
    expect(redone(undone(three)).present).toBe(3)
    expect(undone(redone(three))).toMatchObject({ present: 2 })
  })
  test('a change after an undo drops what could be redone', () => {
    const turned = changed(undone(stepped(1, 2)), 9, 'other', 99_999)
    expect(turned).toMatchObject({ past: [0, 1], present: 9, future: [] })
  })
  test('typing in one field in one breath is one step; a pause or another field is another', () => {
    let history = startHistory(0)
    history = changed(history, 1, 'a', 0)
    history = changed(history, 2, 'a', 500)
    expect(history.past).toEqual([0])
    history = changed(history, 3, 'a', 5000)
    history = changed(history, 4, 'b', 5100)
    expect(history.past).toEqual([0, 2, 3])
  })
  test('an undo ends a breath', () => {
    const history = changed(undone(changed(startHistory(0), 1, 'a', 0)), 2, 'a', 100)
    expect(history.past).toEqual([0])
  })
  test('at either end nothing happens', () => {
    const start = startHistory(0)
    expect(undone(start)).toBe(start)
    expect(redone(start)).toBe(start)
  })
  test('an older state goes under the oldest', () => {
    expect(undone(deepened(startHistory(0), -1)).present).toBe(-1)
  })
  test('a press ends a breath', () => {
    const history = changed(closed(changed(startHistory(0), 1, 'a', 0)), 2, 'a', 100)
    expect(history.past).toEqual([0, 1])
  })
  test('what is a step of its own merges with nothing', () => {
    const once = changed(startHistory(0), 1, null, 0)
    expect(changed(once, 2, null, 100).past).toEqual([0, 1])
  })
  test('keeps a bounded number of steps', () => {
    expect(stepped(...Array.from({ length: 500 }, (_, i) => i)).past.length).toBe(300)
  })
})
