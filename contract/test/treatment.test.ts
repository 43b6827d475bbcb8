import { describe, expect, test } from '@jest/globals'
import { QUOTED_TARGETS, solveBasin } from '@yew-basin/core'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { migrated, readBasinFile, readBasinObject, readPart } from '../src/index.ts'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'

const text = readFileSync(fileURLToPath(new URL('frozen/format-4.json', import.meta.url)), 'utf8')
const old = JSON.parse(text).designs[0].design

test('format 4 keeps all it had, and begins with the quoted doses', () => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const { sump, treatment } = read.value.designs[0]!.design
  expect(sump).toEqual({
    ...old.sump,
    topOff: { ...old.sump.topOff, runLimitS: null },
    devices: [],
    cabinet: null,
  })
  expect(treatment).toMatchObject({ feeds: [], stock: 'medium', targets: QUOTED_TARGETS })
})

test('a torn document of format 4 is brought up without a fault of its own', () => {
  for (const nonsense of [null, 5, 'x', [], {}, { sump: 7 }, { sump: { topOff: 'float' } }]) {
    expect(() => migrated(nonsense, 4)).not.toThrow()
  }
})

test('what is read is solved: skimmer, sterilizer and their room', () => {
  const read = readBasinObject(aFile())
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const { treatment } = solveBasin(read.value.designs[0]!.design)
  expect(treatment.devices).toHaveLength(2)
  expect(treatment.skimmers[0]!.aboveCupM).toBeCloseTo(0.85 - (0.1 + 0.03 + 0.5) - 0.08, 9)
  expect(treatment.sterilizers[0]!.targets[0]!.targetId).toBe('green-water')
})

describe('what treatment needs is refused where it can’t be', () => {
  const cases: [string, (design: Plain) => void, RegExp][] = [
    ['a device in no chamber', (d) => (d.sump.devices[0].chamberId = 'loft'), /no "loft"/],
    ['a device in no line', (d) => (d.sump.devices[1].lineId = 'loft'), /no "loft"/],
    ['two devices of one id', (d) => (d.sump.devices[1].id = 'skimmer'), /stands twice/],
    ['a skimmer with a lamp', (d) => (d.sump.devices[0].lamp = d.sump.devices[1].lamp), /no lamp/],
    ['a sterilizer without one', (d) => (d.sump.devices[1].lamp = null), /how the lamp/],
    ['one speed, turned down', (d) => (d.sump.devices[1].speed = 0.5), /a speed of 1/],
    ['a skimmer that says nothing', (d) => (d.sump.devices[0].part.skimmer = null), /skimmer does/],
    ['a heater that skims', (d) => (d.sump.devices[0].part.kind = 'heater'), /it is a heater/],
    [
      'a range the wrong way round',
      (d) => (d.sump.devices[0].part.skimmer.wantsDepth.mostM = 0.1),
      /no less than the least depth/,
    ],
    [
      'a window the wrong way round',
      (d) => (d.sump.devices[1].part.window.mostM3PerS = 1e-6),
      /no less than the least flow/,
    ],
    [
      'a sleeve wider than its chamber',
      (d) => (d.sump.devices[1].part.sterilizer.chamberBoreM = 0.02),
      /wider than the sleeve/,
    ],
    [
      'a day of no month',
      (d) => (d.sump.devices[1].lamp.lampSince = '2026-13-01'),
      /must be a day/,
    ],
    ['a door that ends first', (d) => (d.sump.cabinet.doors[0].toM = 0.05), /beyond where/],
    ['a target that is not there', (d) => (d.treatment.targetId = 'moss'), /target of the table/],
    ['a dose of nothing', (d) => (d.treatment.targets[0].leastJPerM2 = 0), /from 0.1/],
    ['a food by the tonne', (d) => (d.treatment.feeds[0].massKg = 1000), /to 1/],
    ['no treatment at all', (d) => delete d.treatment, /must be an object/],
  ]
  test.each(cases)('%s', (_, spoil, message) => {
    const file = aFile()
    spoil(file.designs[0].design)
    const read = readBasinObject(file)
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.faults.map((fault) => fault.message).join('\n')).toMatch(message)
  })
})

describe('a device among the parts', () => {
  const { part } = aFile().designs[0].design.sump.devices[0]
  test('is kept as what it is', () => {
    expect(readPart({ kind: 'skimmer', name: 'Mine', spec: part }).ok).toBe(true)
  })
  test('is refused as something else, by the field', () => {
    const read = readPart({ kind: 'heater', name: 'Mine', spec: part })
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.faults[0]).toEqual({ path: 'spec.kind', message: 'must be heater' })
  })
})
