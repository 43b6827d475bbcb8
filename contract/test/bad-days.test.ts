import { describe, expect, test } from '@jest/globals'
import { BULKHEADS } from '@yew-basin/core'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { migrated, readBasinFile, readBasinObject } from '../src/index.ts'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'

const text = readFileSync(fileURLToPath(new URL('frozen/format-3.json', import.meta.url)), 'utf8')
const old = JSON.parse(text).designs[0].design

test('format 3 keeps all it had; its bulkheads are written in full', () => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const { sump, tanks, drains, drills } = read.value.designs[0]!.design
  expect(sump).toEqual({ ...old.sump, topOff: null, devices: [], cabinet: null })
  for (const drain of drains) delete (drain as Partial<typeof drain>).keepsMatch
  expect(JSON.parse(JSON.stringify(drains))).toEqual(old.drains)
  expect(drills).toEqual([])
  const [hole] = tanks[0]!.overflow!.holes
  const { size, ...before } = old.tanks[0].overflow.holes[0]
  expect(hole).toEqual({
    ...before,
    bulkhead: BULKHEADS.find((bulkhead) => bulkhead.size === size),
  })
})

test('every size that format 3 knew becomes the bulkhead it was', () => {
  for (const bulkhead of BULKHEADS) {
    const file = JSON.parse(text)
    file.designs[0].design.tanks[0].overflow.holes[0].size = bulkhead.size
    const read = readBasinObject(file)
    if (!read.ok) throw new Error(JSON.stringify(read.faults))
    const brought = read.value.designs[0]!.design.tanks[0]!.overflow!.holes[0]!.bulkhead
    expect(brought.size).toBe(bulkhead.size)
    for (const figure of ['boreM', 'holeM', 'flangeM'] as const) {
      expect(brought[figure]).toBeCloseTo(bulkhead[figure], 9)
    }
  }
})

test('a torn document of format 3 is brought up without a fault of its own', () => {
  const torn = [null, 5, 'x', [], {}, { tanks: [{ overflow: { holes: [3, null] } }], sump: 7 }]
  for (const document of torn) expect(() => migrated(document, 3)).not.toThrow()
})

describe('what the drills need is refused where it can’t be', () => {
  const cases: [string, (design: Plain) => void, RegExp][] = [
    ['a can of no size', (d) => (d.sump.topOff.canM3 = 0), /from 0.0001/],
    ['a top-off that is a word', (d) => (d.sump.topOff = 'float'), /must be an object/],
    ['a drill with nothing in it', (d) => (d.drills[0].steps = []), /1/],
    ['a drill next month', (d) => (d.drills[0].steps[0].atS = 1e9), /604800/],
    ['two drills of one id', (d) => d.drills.push(d.drills[0]), /stands twice/],
    ['a hole without a bulkhead', (d) => delete d.tanks[0].overflow.holes[0].bulkhead, /object/],
    ['a hole as wide as a door', (d) => (d.tanks[0].overflow.holes[0].bulkhead.holeM = 2), /0.3/],
  ]
  test.each(cases)('%s', (_, spoil, message) => {
    const file = aFile()
    spoil(file.designs[0].design)
    const read = readBasinObject(file)
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.faults.map((fault) => fault.message).join('\n')).toMatch(message)
  })
})
