import { describe, expect, test } from '@jest/globals'
import { sheetOf } from '../../src/basin/building.ts'
import { readHave, toBuy } from '../../src/build-sheet/index.ts'
import { solveBasin } from '../../src/index.ts'
import { aBasin } from '../a-basin.ts'

const design = aBasin(
  'up 200 mm, union, up 800 mm, elbow, left 900 mm, elbow, down 200 mm, nozzle 20 mm',
)
const sheet = sheetOf(design, solveBasin(design))
const line = (name: string) => sheet.list.find((other) => other.name === name)!
const buys = (name: string, have: number | null) => toBuy(line(name), have, sheet)

describe('what is had already, in one line', () => {
  test('is read by words, counts, metres and feet', () => {
    const elbow = line('elbow 90°')
    const { had, faults } = readHave('2 × elbow, union 1 1/4; 0.5 m pipe, 2 ft pipe', sheet.list)
    expect(faults).toEqual([])
    expect(had).toEqual([
      { key: elbow.key, have: 2 },
      { key: line('union').key, have: 1 },
      { key: line('pipe').key, have: 0.5 },
      { key: line('pipe').key, have: expect.closeTo(0.6096, 9) },
    ])
  })
  test.each([
    ['3 gate', 'nothing of this list'],
    ['2 m elbow', 'counted, not measured'],
    ['2 pipe', 'in metres or feet'],
    ['pipe', 'how long is it'],
    ['union 7/8', 'nothing of this list'],
  ])('%s is a fault that says why', (words, why) => {
    const { had, faults } = readHave(words, sheet.list)
    expect(had).toEqual([])
    expect(faults[0]!.message).toContain(why)
  })
})

describe('what is then to buy', () => {
  test('is what is wanted and to spare, less what is had', () => {
    const { count, spare } = line('elbow 90°')
    expect([count, spare]).toEqual([2, 1])
    expect([null, 0, 1, 3, 9].map((have) => buys('elbow 90°', have))).toEqual([3, 3, 2, 0, 0])
  })
  test('of pipe the stocks that are left when the piece that is had gave its cuts', () => {
    expect(line('pipe').count).toBe(1)
    expect(buys('pipe', 0.1)).toBe(1)
    expect(buys('pipe', 3)).toBe(0)
  })
})
