import { describe, expect, test } from '@jest/globals'
import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { FORMAT_VERSION, MIGRATIONS, readBasinFile, readBasinObject, SIZES } from '../src/index.ts'
import { SERIES_SIZES } from '@yew-basin/core'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'

/** Faults of a file after a change, as "path: message". */
function faults(change: (file: Plain) => void): string[] {
  const file = aFile()
  change(file)
  const read = readBasinObject(file)
  return read.ok ? [] : read.faults.map((fault) => `${fault.path}: ${fault.message}`)
}
const design = (file: Plain): Plain => file.designs[0].design

test('a right file is read whole', () => {
  const read = readBasinFile(JSON.stringify(aFile()))
  expect(read.ok && JSON.parse(JSON.stringify(read.value))).toEqual(aFile())
})

describe('a bad file is refused with the place and what is possible', () => {
  test.each<[string, (file: Plain) => void, string]>([
    [
      'a number too large',
      (f) => (design(f).tanks[0].lengthM = 99),
      'designs[0].design.tanks[0].lengthM: must be a number from 0.1 to 10; it is 99',
    ],
    [
      'text for a number',
      (f) => (design(f).tanks[0].lengthM = '1'),
      'designs[0].design.tanks[0].lengthM: must be a number from 0.1 to 10; it is "1"',
    ],
    [
      'a number missing',
      (f) => delete design(f).water.temperatureC,
      'designs[0].design.water.temperatureC: must be a number from 2 to 38; it is missing',
    ],
    [
      'null where a number must be',
      (f) => (design(f).returnSide.pumps[0].speed = null),
      'designs[0].design.returnSide.pumps[0].speed: must be a number from 0.05 to 1; it is null',
    ],
    [
      'a part missing',
      (f) => delete design(f).tanks,
      'designs[0].design.tanks: must be a list of 1 to 8; it is missing',
    ],
    [
      'an unknown property',
      (f) => (design(f).tanks[0].colour = 'red'),
      'designs[0].design.tanks[0].colour: is not a property of this format',
    ],
    [
      'an unknown kind of piece',
      (f) => (design(f).returnSide.lines[0].run.pieces[1].kind = 'tap'),
      'designs[0].design.returnSide.lines[0].run.pieces[1].kind: must be one of pipe, elbow, union, valve, check-valve, reducer, bulkhead, nozzle, tee, device, free-hose; it is "tap"',
    ],
    [
      'an unknown direction',
      (f) => (design(f).returnSide.lines[0].run.pieces[0].direction = 'north'),
      'designs[0].design.returnSide.lines[0].run.pieces[0].direction: must be one of up, down, left, right, front, back; it is "north"',
    ],
    [
      'a size its series does not have',
      (f) => (design(f).returnSide.lines[0].run.size.size = '63'),
      'designs[0].design.returnSide.lines[0].run.size.size: must be one of 1/2, 3/4, 1, 1 1/4, 1 1/2, 2, 3',
    ],
    [
      'two pieces of one id',
      (f) => (design(f).returnSide.lines[0].run.pieces[1].id = 'a'),
      'designs[0].design.returnSide: must give each piece an id of its own; a stands twice',
    ],
    [
      'a diaphragm valve half open',
      (f) => (design(f).returnSide.lines[0].run.pieces[3].form = 'diaphragm'),
      'designs[0].design.returnSide.lines[0].run.pieces[3].opening: must be 0 (shut) or 1 (open) for a diaphragm valve: its part-open loss is not known',
    ],
    [
      'a pump that is not there',
      (f) => (design(f).returnSide.pumps[0].pumpId = 'other'),
      'designs[0].design.returnSide: must name one of the design’s pumps at pump: none of them has the id "other"',
    ],
    [
      'a speed below its controller’s',
      (f) => (design(f).returnSide.pumps[0].speed = 0.2),
      'designs[0].design.returnSide: must have a speed from 0.3 to 1 for A pump; it is 0.2, at pump',
    ],
    [
      'a speed for a pump of one speed',
      (f) => (design(f).pumps[0].control = 'fixed-speed'),
      'designs[0].design.returnSide: must have speed 1: A pump runs at one speed; it is 0.8, at pump',
    ],
    [
      'a curve that rises',
      (f) => (design(f).pumps[0].curve[1].headM = 9),
      'designs[0].design.pumps[0].curve: head must fall as the flow rises: point 2 is not below point 1',
    ],
    [
      'a curve whose flow does not rise',
      (f) => (design(f).pumps[0].curve[1].flowM3PerS = 0),
      'designs[0].design.pumps[0].curve: flow must rise along the curve: point 2 does not',
    ],
    [
      'a curve of one point',
      (f) => design(f).pumps[0].curve.splice(1),
      'designs[0].design.pumps[0].curve: a curve needs two points or more, or none; it has 1',
    ],
    [
      'no curve and no two numbers',
      (f) => (design(f).pumps[0].curve = []),
      'designs[0].design.pumps[0].curve: without a curve it needs both most flow and most head',
    ],
    [
      'no pumps',
      (f) => (design(f).pumps = []),
      'designs[0].design.pumps: must be a list of 1 to 20; it has 0',
    ],
    [
      'a line that starts nowhere',
      (f) => (design(f).returnSide.lines[1].start.id = 'x'),
      'designs[0].design.returnSide: must start each line at a pump or a tee that is there: takeoff starts at tee "x"',
    ],
    [
      'a line that ends nowhere',
      (f) => (design(f).returnSide.lines[1].end.id = 'pond'),
      'designs[0].design.returnSide: must end each line at something that is there: takeoff ends at chamber "pond"',
    ],
    [
      'an end with a name that every object knows',
      (f) => (design(f).returnSide.lines[1].end.at = 'toString'),
      'designs[0].design.returnSide.lines[1].end.at: must be one of tank, chamber, tee, cap; it is "toString"',
    ],
    [
      'two lines at one tee',
      (f) =>
        (design(f).returnSide.lines[0].end = {
          at: 'tee',
          id: 't',
          place: null,
          breakDepthM: null,
        }),
      'designs[0].design.returnSide: must have one line at each tee: main and takeoff both meet t',
    ],
    [
      'a capped line with an end',
      (f) => (design(f).returnSide.lines[1].end.at = 'cap'),
      'designs[0].design.returnSide: must give a capped line no end: takeoff ends at "sump"',
    ],
    [
      'a line that leads back to no pump',
      (f) => {
        const [main, takeoff] = design(f).returnSide.lines
        takeoff.run.pieces.push(...main.run.pieces.splice(5, 1))
      },
      'designs[0].design.returnSide: must lead each line back to a pump: takeoff does not',
    ],
    [
      'a pump in a chamber that is not there',
      (f) => (design(f).returnSide.pumps[0].chamberId = 'pond'),
      'designs[0].design.returnSide: must draw from one of its chambers at pump: there is no "pond"',
    ],
    [
      'a spare pump that is not there',
      (f) => (design(f).returnSide.sparePumpId = 'other'),
      'designs[0].design.returnSide: must name one of the design’s pumps as spare: there is no "other"',
    ],
    [
      'a device’s table that falls',
      (f) =>
        design(f).returnSide.lines[1].run.pieces[0].table.push({ flowM3PerS: 0.0002, headM: 0.1 }),
      'designs[0].design.returnSide.lines[1].run.pieces[0].table: head must rise from zero: point 2 does not',
    ],
    ['no designs', (f) => (f.designs = []), 'designs: must be a list of 1 to 20; it has 0'],
    [
      'two current designs',
      (f) => f.designs.push(f.designs[0]),
      'designs: must have exactly one current design; it has 2',
    ],
    [
      'an empty name',
      (f) => (f.name = '  '),
      'name: must be text of 1 to 80 characters; it is "  "',
    ],
    [
      'a control character',
      (f) => (f.name = 'a\u0000b'),
      'name: must be text without control characters',
    ],
    [
      'pieces that are no list',
      (f) => (design(f).returnSide.lines[0].run.pieces = {}),
      'designs[0].design.returnSide.lines[0].run.pieces: must be a list of 0 to 200; it is an object',
    ],
    [
      'null among the pieces',
      (f) => (design(f).returnSide.lines[0].run.pieces[2] = null),
      'designs[0].design.returnSide.lines[0].run.pieces[2]: must be an object',
    ],
    ['text among the designs', (f) => (f.designs = ['x']), 'designs[0]: must be an object'],
    [
      'another format',
      (f) => (f.format = 'other'),
      'format: must be "yew-basin": this is no exported basin',
    ],
    [
      'a newer version',
      (f) => (f.formatVersion = 99),
      `formatVersion: is 99, from a newer Yew Basin; this one reads up to ${FORMAT_VERSION}`,
    ],
    [
      'a version that is no number',
      (f) => (f.formatVersion = '1'),
      `formatVersion: must be a whole number from 1 to ${FORMAT_VERSION}`,
    ],
  ])('%s', (_, change, message) => {
    expect(faults(change)).toContain(message)
  })
  test('every fault is named, not only the first', () => {
    const found = faults((file) => {
      file.name = ''
      design(file).tanks[0].widthM = -1
      design(file).tanks[0].turnoverPerH = 'many'
    })
    expect(found.map((fault) => fault.split(':')[0])).toEqual([
      'name',
      'designs[0].design.tanks[0].widthM',
      'designs[0].design.tanks[0].turnoverPerH',
    ])
  })
  test.each([
    ['', /is no Yew Basin file/],
    ['{', /is no Yew Basin file/],
    ['[]', /one JSON object/],
    ['null', /one JSON object/],
    ['"x"', /one JSON object/],
    ['{"format":"yew-basin","formatVersion":1}', /designs|name/],
    [
      `{"format":"yew-basin","formatVersion":2,"name":"x","note":"","designs":${'[{"designs":'.repeat(40)}1${'}]'.repeat(40)}}`,
      /nested deeper than 24/,
    ],
    [
      '{"format":"yew-basin","formatVersion":2,"name":"x","note":"","designs":[{"name":"x","current":true,"design":{"__proto__":{"tanks":1}}}]}',
      /must be an object|not a property/,
    ],
  ])('%s', (text, message) => {
    const read = readBasinFile(text)
    expect(read.ok).toBe(false)
    if (!read.ok)
      expect(read.faults.map((fault) => `${fault.path}: ${fault.message}`).join('\n')).toMatch(
        message,
      )
  })
})

describe('formats', () => {
  const frozen = fileURLToPath(new URL('frozen/', import.meta.url))
  test('every format has a frozen file, and each is still read', () => {
    const names = readdirSync(frozen).sort()
    const all = Array.from({ length: FORMAT_VERSION }, (_, i) => `format-${i + 1}.json`)
    expect(names).toEqual(all.sort())
    for (const name of names) {
      expect(readBasinFile(readFileSync(frozen + name, 'utf8')).ok).toBe(true)
    }
  })
  test('migrations have names of their own', () => {
    expect(new Set(MIGRATIONS.map((migration) => migration.name)).size).toBe(MIGRATIONS.length)
  })
})

test('the sizes that may be stored are those the core knows', () => {
  for (const [series, rows] of Object.entries(SERIES_SIZES)) {
    expect([...SIZES[series as keyof typeof SIZES]].sort()).toEqual(
      rows.map((row) => row.size).sort(),
    )
  }
})
