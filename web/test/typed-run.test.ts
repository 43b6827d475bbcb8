import { readNotation, setTo } from '@yew-basin/core'
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals'
import { useDesignHistory } from '../src/workspace/design-history.ts'
import { aDesign } from './a-design.ts'

const LINE = 'up 500 mm, elbow, left 300 mm'
/** Longer than any breath. */
const PAUSE_MS = 60_000

beforeEach(() => {
  jest.useFakeTimers()
})
afterEach(() => {
  jest.useRealTimers()
})

/** A line's run as it is typed: pieces that stay keep their ids. */
function typed(history: ReturnType<typeof useDesignHistory>, text: string): void {
  const { run } = history.design.value!.returnSide.lines[0]!
  let n = 0
  const read = readNotation(text, 'metric', run, () => `${text.length}-${++n}`)
  if (!read.ok) throw new Error(read.faults[0]!.message)
  history.edit([setTo(['returnSide', 'lines', 0, 'run', 'pieces'], read.pieces)])
}

function begun() {
  const history = useDesignHistory(
    () => undefined,
    async () => null,
  )
  history.begin(aDesign(LINE), 1)
  return history
}

test('a run that was changed and entered after a pause is one step, not one that does nothing', async () => {
  const history = begun()
  const before = history.design.value
  typed(history, 'up 500 mm, elbow, left 350 mm')
  const after = history.design.value
  jest.advanceTimersByTime(PAUSE_MS)
  history.press()
  typed(history, 'up 500 mm, elbow, left 350 mm')
  expect(history.design.value).toBe(after)
  await history.undo()
  expect(history.design.value).toBe(before)
  expect(history.canUndo.value).toBe(false)
})

test('a run that is typed in one breath is one step, and two breaths are two', async () => {
  const history = begun()
  for (const end of ['3', '33', '330']) typed(history, `up 500 mm, elbow, left ${end} mm`)
  const first = history.design.value
  jest.advanceTimersByTime(PAUSE_MS)
  typed(history, 'up 500 mm, elbow, left 340 mm')
  await history.undo()
  expect(history.design.value).toBe(first)
  await history.undo()
  expect(history.canUndo.value).toBe(false)
})

test('two presses that set the same thing are two steps', async () => {
  const history = begun()
  const speed = ['returnSide', 'pumps', 0, 'speed'] as const
  history.edit([setTo(speed, 0.9)])
  history.press()
  history.edit([setTo(speed, 0.8)])
  await history.undo()
  expect(history.design.value!.returnSide.pumps[0]!.speed).toBe(0.9)
})
