import { describe, expect, test } from '@jest/globals'
import { fittedTo, MOST_ZOOM, WHOLE, within, zoomedAt } from '../src/section/lens.ts'
import { scaleFor } from '../src/section/scale.ts'

const size = { width: 800, height: 600 }
const room = { left: 0, right: 1.6, bottom: 0, top: 1.5 }
const scaleAt = (zoom: number) => scaleFor(room, size.width * zoom, size.height * zoom)
const given = { size, scaleAt }

/** Where a place of the room stands in the window. */
const seen = (lens: typeof WHOLE, xM: number, upM: number) => ({
  x: scaleAt(lens.zoom).x(xM) + lens.x,
  y: scaleAt(lens.zoom).y(upM) + lens.y,
})

describe('a sheet that is looked at nearer', () => {
  test.each([
    [0.8, 0.75],
    [0.4, 1.1],
    [1.2, 0.3],
  ])('keeps what stands under the pointer, at %d m and %d m', (xM, upM) => {
    const at = seen(WHOLE, xM, upM)
    const near = zoomedAt(WHOLE, 3, at, given)
    const now = seen(near, xM, upM)
    expect([now.x, now.y].map((v) => Math.round(v))).toEqual([at.x, at.y].map((v) => Math.round(v)))
    const nearer = zoomedAt(near, 6, at, given)
    expect(seen(nearer, xM, upM).x).toBeCloseTo(at.x, 6)
  })
  test('is drawn larger by just so much, within its margins', () => {
    const near = zoomedAt(WHOLE, 4, { x: 400, y: 300 }, given)
    expect(scaleAt(near.zoom).pxPerM / scaleAt(1).pxPerM).toBeGreaterThan(4)
  })
  test('goes no farther than all of it and no nearer than it helps', () => {
    expect(zoomedAt(WHOLE, 0.2, { x: 10, y: 10 }, given)).toEqual(WHOLE)
    expect(zoomedAt(WHOLE, 100, { x: 10, y: 10 }, given).zoom).toBe(MOST_ZOOM)
  })
  test('shows no place beside itself', () => {
    expect(within({ zoom: 2, x: 50, y: 50 }, size)).toEqual({ zoom: 2, x: 0, y: 0 })
    expect(within({ zoom: 2, x: -5000, y: -5000 }, size)).toEqual({ zoom: 2, x: -800, y: -600 })
  })
  test('a part is brought to the middle, with some room round it', () => {
    const part = { x: 500, y: 100, width: 120, height: 90 }
    const near = fittedTo(WHOLE, part, given)
    expect(near.zoom).toBeGreaterThan(3)
    const middle = {
      xM: (part.x + 60 - scaleAt(1).x(0)) / scaleAt(1).pxPerM,
      upM: (scaleAt(1).y(0) - part.y - 45) / scaleAt(1).pxPerM,
    }
    const now = seen(near, middle.xM, middle.upM)
    expect([Math.round(now.x), Math.round(now.y)]).toEqual([400, 300])
  })
  test('what is larger than the window is shown whole', () => {
    const all = fittedTo(WHOLE, { x: -50, y: -50, width: 900, height: 700 }, given)
    expect(all).toEqual(WHOLE)
  })
})
