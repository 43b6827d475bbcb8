import { describe, expect, test } from '@jest/globals'
import { applyEdits, asItRuns, solveBasin, type BasinDesign, setTo } from '@yew-basin/core'
import { drawSection } from '../src/section/section-drawing.ts'
import { aDesign } from './a-design.ts'
import { aFullDesign } from './open-basin.ts'

const SHEET = [730, 700] as const
const PHONE = [390, 360] as const

function drawn(given: BasinDesign, [width, height]: readonly [number, number] = SHEET) {
  const solved = solveBasin(given)
  const design = asItRuns(given, solved)
  const line = solved.returnSide.lines[0]!
  const fromChamberId = design.returnSide.pumps[0]!.chamberId
  return drawSection({ design, solved, line, fromChamberId }, width, height)
}

describe('the section of a full basin', () => {
  const design = aFullDesign()
  const section = drawn(design)

  test.each([
    ['a sheet', SHEET],
    ['a phone', PHONE],
  ])('on %s has every tank, pump, line and drain on it', (_, size) => {
    const { tanks, pumps, runs, drains } = drawn(design, size)
    expect(tanks).toHaveLength(design.tanks.length)
    expect(runs).toHaveLength(design.returnSide.lines.length)
    expect(drains).toHaveLength(design.drains.length)
    const places = [
      ...tanks.flatMap(({ left, right, top }) => [
        [left, top],
        [right, top],
      ]),
      ...pumps.map(({ x, y }) => [x, y]),
    ]
    for (const [x, y] of places) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x).toBeLessThanOrEqual(size[0])
      expect(y).toBeGreaterThanOrEqual(0)
      expect(y).toBeLessThanOrEqual(size[1])
    }
  })
  test('is one scale: tanks as long as they are, water as high as it stands', () => {
    for (const { tank, solved, left, right, surface } of section.tanks) {
      expect(right - left).toBeCloseTo(tank.lengthM * section.scale.pxPerM, 9)
      expect(surface).toBeCloseTo(section.scale.y(solved.surfaceM), 9)
    }
  })
  test('draws the lift from the pump’s water up, on the sheet', () => {
    const { from, to, x, shown } = section.lift
    expect(shown).toBe(true)
    expect(to).toBeLessThan(from)
    expect(x).toBeLessThan(SHEET[0])
  })
  test('has its sump to scale once its sizes are given', () => {
    expect(section.sump).not.toBeNull()
    expect(section.sumps).toEqual([])
  })
  test('writes no labels on a phone', () => {
    expect(section.labels.length).toBeGreaterThan(0)
    expect(drawn(design, PHONE).labels).toEqual([])
  })
  test('lets level marks keep clear of boxes and pipes', () => {
    const [box] = section.overflows
    expect(section.crossing).toEqual(expect.arrayContaining([box!.left, box!.right]))
  })
})

describe('the section of a basin whose sump is not set yet', () => {
  const plain = aDesign('up 1.3 m, elbow, left 200 mm')
  test('draws water round the pump, as far as it is known', () => {
    const { sump, sumps } = drawn(plain)
    expect(sump).toBeNull()
    expect(sumps).toHaveLength(1)
    expect(sumps[0]!.left).toBeLessThan(sumps[0]!.right)
  })
  test('keeps water away from where none falls', () => {
    const shut = applyEdits(plain, [setTo(['returnSide', 'pumps', 0, 'stopped'], true)])
    expect(drawn(plain).falls.length).toBeGreaterThan(0)
    expect(drawn(shut).falls).toEqual([])
    expect(drawn(shut).pumps[0]!.stopped).toBe(true)
  })
})
