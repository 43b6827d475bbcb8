import { DEFAULT_RANGES } from '@yew-basin/core/lab'
import { describe, expect, test } from '@jest/globals'
import { domainOf, solveBasin } from '@yew-basin/core'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { migrated, readBasinFile, readBasinObject, readPart } from '../src/index.ts'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'

const text = readFileSync(fileURLToPath(new URL('frozen/format-5.json', import.meta.url)), 'utf8')

test('format 5 keeps all it had, and begins with nothing in its water', () => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const old = JSON.parse(text).designs[0].design
  const { tanks } = read.value.designs[0]!.design
  expect(tanks).toHaveLength(old.tanks.length)
  tanks.forEach(({ scene, ...tank }, i) => {
    expect(tank).toEqual(old.tanks[i])
    expect(scene).toEqual({ rocks: [], pumps: [], nozzles: [], ranges: DEFAULT_RANGES })
  })
})

test('a torn document of format 5 is brought up without a fault of its own', () => {
  for (const nonsense of [null, 5, 'x', [], {}, { tanks: 7 }, { tanks: [null, 'tank'] }]) {
    expect(() => migrated(nonsense, 5)).not.toThrow()
  }
})

test('what is read can be run: pump, rock and the line as it is turned', () => {
  const read = readBasinObject(aFile())
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const { design } = read.value.designs[0]!
  const domain = domainOf(design, solveBasin(design), 0)
  expect(domain.rocks.map(({ id }) => id)).toEqual(['rock'])
  expect(domain.streams[0]).toMatchObject({ id: 'circulation', from: 'pump' })
  expect(domain.streams[0]!.flowM3PerS).toBeCloseTo(0.0007, 9)
})

describe('what a scene cannot be is refused', () => {
  const cases: [string, (scene: Plain) => void, RegExp][] = [
    ['two rocks of one id', (s) => s.rocks.push(s.rocks[0]), /id "rock" stands twice/],
    ['two pumps of one id', (s) => s.pumps.push(s.pumps[0]), /"circulation" stands twice/],
    ['a line turned twice', (s) => s.nozzles.push(s.nozzles[0]), /lineId "main" stands twice/],
    ['a zone wanted twice', (s) => (s.ranges[1].zone = 'soft'), /zone "soft" stands twice/],
    ['a zone that is not wanted', (s) => s.ranges.pop(), /list of 5 to 5/],
    [
      'a range the wrong way round',
      (s) => (s.ranges[0].mostMPerS = 0.01),
      /no less than the least/,
    ],
    ['a rock of no size', (s) => (s.rocks[0].lengthM = 0), /from 0.02 to 5/],
    ['a pyramid', (s) => (s.rocks[0].form = 'pyramid'), /one of box, boulder/],
    ['a pump on the lid', (s) => (s.pumps[0].panel = 'lid'), /one of left, right, front, back/],
    ['a jet without a bore', (s) => (s.pumps[0].part.boreM = null), /must have a boreM/],
    [
      'a sheet without a slot',
      (s) => (s.pumps[0].part.form = 'cross-flow'),
      /must have a slotLengthM/,
    ],
    ['slower than it runs', (s) => (s.pumps[0].speed = 0.1), /no less than its leastSpeed 0.3/],
    [
      'one speed, turned down',
      (s) => (s.pumps[0].part.control = 'fixed-speed'),
      /must be 1: this pump has one speed/,
    ],
    ['a turn of no time', (s) => (s.pumps[0].pattern.periodS = 0), /from 0.5/],
    ['a tilt over the top', (s) => (s.pumps[0].tiltDeg = 120), /from -90 to 90/],
    ['no scene', (s) => delete s.rocks, /list of 0 to 60/],
  ]
  test.each(cases)('%s', (_, spoil, message) => {
    const file = aFile()
    spoil(file.designs[0].design.tanks[0].scene)
    const read = readBasinObject(file)
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.faults.map((fault) => fault.message).join('\n')).toMatch(message)
  })
})

test('a circulation pump is kept among the parts, and a broken one is refused by the field', () => {
  const { part } = aFile().designs[0].design.tanks[0].scene.pumps[0]
  expect(readPart({ kind: 'circulation', name: 'Mine', spec: part }).ok).toBe(true)
  const read = readPart({ kind: 'circulation', name: 'Mine', spec: { ...part, flowM3PerS: 9 } })
  expect(read.ok).toBe(false)
  if (!read.ok) expect(read.faults[0]!.path).toBe('spec.flowM3PerS')
})
