import { describe, expect, jest, test } from '@jest/globals'
import { useDrag } from '../src/section/use-drag.ts'

/** Something on a drawing that a pointer can go down on. */
function aGrip() {
  const element = document.createElement('div')
  const captured = jest.fn()
  element.setPointerCapture = captured
  const down = (x: number, y: number) =>
    ({ currentTarget: element, pointerId: 7, clientX: x, clientY: y }) as unknown as PointerEvent
  const moves = (x: number, y: number) =>
    element.dispatchEvent(new MouseEvent('pointermove', { clientX: x, clientY: y }))
  const letsGo = () => element.dispatchEvent(new Event('lostpointercapture'))
  return { captured, down, moves, letsGo }
}
const pressed = (key: string, shiftKey = false) =>
  new KeyboardEvent('keydown', { key, shiftKey, cancelable: true })

describe('dragging', () => {
  test('tells how far from where it began, until it is let go', () => {
    const { captured, down, moves, letsGo } = aGrip()
    const given: unknown[] = []
    const { drag, dragging } = useDrag(
      () => (by) => given.push(by),
      () => 2,
    )
    drag(down(100, 50))
    expect(captured).toHaveBeenCalledWith(7)
    expect(dragging.value).toBe(true)
    moves(110, 45)
    moves(90, 60)
    letsGo()
    moves(0, 0)
    expect(given).toEqual([
      { byX: 10, byY: -5 },
      { byX: -10, byY: 10 },
    ])
    expect(dragging.value).toBe(false)
  })
  test('begins anew each time: where it begins is asked once', () => {
    const { down, moves, letsGo } = aGrip()
    const begin = jest.fn(() => () => {})
    const { drag } = useDrag(begin, () => 2)
    for (let i = 0; i < 2; i++) {
      drag(down(0, 0))
      moves(5, 5)
      moves(6, 6)
      letsGo()
    }
    expect(begin).toHaveBeenCalledTimes(2)
  })
  test.each([
    ['ArrowLeft', { byX: -2, byY: 0 }],
    ['ArrowRight', { byX: 2, byY: 0 }],
    ['ArrowUp', { byX: 0, byY: -2 }],
    ['ArrowDown', { byX: 0, byY: 2 }],
  ])('by %s goes a step, with Shift ten', (name, by) => {
    const moves: unknown[] = []
    const { key } = useDrag(
      () => (move) => moves.push(move),
      () => 2,
    )
    const plain = pressed(name)
    key(plain)
    expect(plain.defaultPrevented).toBe(true)
    key(pressed(name, true))
    expect(moves).toEqual([by, { byX: by.byX * 10, byY: by.byY * 10 }])
  })
  test('other keys are left to the page', () => {
    const begin = jest.fn(() => () => {})
    const { key } = useDrag(begin, () => 2)
    const tab = pressed('Tab')
    key(tab)
    expect(tab.defaultPrevented).toBe(false)
    expect(begin).not.toHaveBeenCalled()
  })
})
