import { describe, expect, test } from '@jest/globals'
import { solveBasin } from '@yew-basin/core'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { migrated, readBasinFile, readBasinObject } from '../src/index.ts'
import { withoutLater } from './without-later.ts'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'

const text = readFileSync(fileURLToPath(new URL('frozen/format-6.json', import.meta.url)), 'utf8')
const old: Plain = JSON.parse(text).designs[0].design

test('format 6 keeps all it had; its room is not set, its foods are the same every day', () => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const { heat, returnSide, treatment, sump } = read.value.designs[0]!.design
  expect(heat).toBeNull()
  expect(returnSide).toEqual({ ...old.returnSide, ownShare: null })
  const { factor, feeds, ...plan } = old.treatment
  expect(treatment).toEqual({
    ...plan,
    feeds: feeds.map((feed: Plain) => ({ ...feed, mostPerDay: null })),
    oversizeFrom: factor,
    oversizeTo: 2,
  })
  const { devices } = withoutLater({ pumps: [], sump }).sump
  expect(devices).toEqual(
    old.sump.devices.map((device: Plain) =>
      device.lamp
        ? { ...device, lamp: { ...device.lamp, hoursPerDay: 24, burnedOn: null } }
        : device,
    ),
  )
})

test('a factor past the usual range keeps its place, with a range over it', () => {
  const file = JSON.parse(text)
  file.designs[0].design.treatment.factor = 3.6
  const read = readBasinObject(file)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  expect(read.value.designs[0]!.design.treatment).toMatchObject({
    oversizeFrom: 3.6,
    oversizeTo: 4,
  })
})

test('a torn document of format 6 is brought up without a fault of its own', () => {
  const torn = [
    null,
    5,
    'x',
    [],
    {},
    { treatment: 7, sump: null, returnSide: 'x' },
    { treatment: { feeds: [3, null], factor: 'x' }, sump: { devices: [null, { lamp: 4 }] } },
  ]
  for (const document of torn) expect(() => migrated(document, 6)).not.toThrow()
})

test('what is read is solved: the room, and everything that is plugged in', () => {
  const read = readBasinObject(aFile())
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const { heat, power } = solveBasin(read.value.designs[0]!.design)
  expect(heat!.surfaces.acrylicM2).toBeGreaterThan(0.1)
  expect(power.shares.map(({ of }) => of)).toEqual(
    expect.arrayContaining(['return', 'circulation', 'lights']),
  )
})

describe('what warmth and loads need is refused where it can’t be', () => {
  const cases: [string, (design: Plain) => void, RegExp][] = [
    ['a summer colder than its winter', (d) => (d.heat.warmestRoomC = 10), /no colder than/],
    ['air wetter than wet', (d) => (d.heat.humidity = 1.2), /from 0.05 to 1/],
    ['a surface stiller than still', (d) => (d.heat.stirred = 0.1), /from 0.5 to 1/],
    ['a day of thirty hours', (d) => (d.heat.lightHoursPerDay = 30), /from 0 to 24/],
    ['a tank of wood', (d) => (d.heat.tankPanels = 'wood'), /one of glass, thick-acrylic/],
    ['a room that is a word', (d) => (d.heat = 'warm'), /must be an object/],
    ['a warning of a minute', (d) => (d.heat.warningS = 60), /from 3600/],
    [
      'a most that is less',
      (d) => (d.treatment.feeds[0].mostPerDay = 1),
      /no less than the least a day/,
    ],
    [
      'factors the wrong way round',
      (d) => (d.treatment.oversizeTo = 1.2),
      /no less than the factor it begins with/,
    ],
    ['a lamp lit longer than a day', (d) => (d.sump.devices[1].lamp.hoursPerDay = 25), /to 24/],
    ['hours of no day', (d) => (d.sump.devices[1].lamp.burnedOn = '2026-02-40'), /a day as/],
    ['a pump past its print', (d) => (d.returnSide.ownShare = 1.4), /from 0.05 to 1/],
  ]
  test.each(cases)('%s', (_, spoil, message) => {
    const file = aFile()
    spoil(file.designs[0].design)
    const read = readBasinObject(file)
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.faults.map((fault) => fault.message).join('\n')).toMatch(message)
  })
})
