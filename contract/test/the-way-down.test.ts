import { describe, expect, test } from '@jest/globals'
import { solveBasin } from '@yew-basin/core'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { migrated, readBasinFile, readBasinObject } from '../src/index.ts'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'

const text = readFileSync(fileURLToPath(new URL('frozen/format-2.json', import.meta.url)), 'utf8')
const old = JSON.parse(text).designs[0].design

test('format 2 keeps every level where it was, and its flows with them', () => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const { tanks, sump, drains } = read.value.designs[0]!.design
  expect(sump.chambers[0]).toMatchObject({ ...old.returnSide.chambers[0], use: 'return' })
  expect(sump.box).toBeNull()
  expect(drains).toEqual([])
  expect(tanks.every(({ overflow }) => overflow === null)).toBe(true)
  const solved = solveBasin(read.value.designs[0]!.design)
  expect(solved.tanks[0]!.surfaceM).toBe(old.tanks[0].floorHeightM + old.tanks[0].waterLevelM)
})

test('a torn document of format 2 is brought up without a fault of its own', () => {
  for (const torn of [
    null,
    5,
    'x',
    [],
    {},
    { tanks: 3, returnSide: { chambers: [null], pumps: 1 } },
  ]) {
    expect(() => migrated(torn, 2)).not.toThrow()
  }
})

describe('a way down that does not hold together is named', () => {
  const cases: [string, (design: Plain) => void, RegExp][] = [
    ['a crest above the rim', (d) => (d.tanks[0].overflow.crestM = 0.6), /crest below the rim/],
    ['a drain of a tank that is not there', (d) => (d.drains[0].tankId = 'pond'), /no "pond"/],
    ['a drain into no chamber', (d) => (d.drains[0].end.id = 'pond'), /no "pond"/],
    [
      'a drain that joins itself',
      (d) => (d.drains[0].end = { at: 'tee', id: 'd3', landing: 'open' }),
      /another drain/,
    ],
    ['a wall outside the box', (d) => (d.sump.walls[0].atM = 2), /inside its length/],
    [
      'a wall too many',
      (d) => d.sump.walls.push({ ...d.sump.walls[0], id: 'w2', atM: 0.7 }),
      /one wall between/,
    ],
    ['walls without sizes', (d) => (d.sump.box = null), /no walls until/],
    ['a wall higher than the box', (d) => (d.sump.walls[0].topM = 0.9), /no higher than/],
    [
      'an under-wall without a slot',
      (d) => Object.assign(d.sump.walls[0], { kind: 'under', slotM: 0 }),
      /slot under/,
    ],
    ['a comb without teeth', (d) => (d.sump.walls[0].teeth = null), /its teeth/],
    ['teeth without gaps', (d) => (d.tanks[0].overflow.teeth.pitchM = 0.005), /pitch of more/],
    ['a hung box without tubes', (d) => (d.tanks[0].overflow.passage = null), /passage of siphon/],
    [
      'rear chambers with a box',
      (d) => (d.tanks[0].overflow.form = 'rear-chambers'),
      /have no box/,
    ],
    ['drains without an overflow', (d) => (d.tanks[0].overflow = null), /must have an overflow/],
    ['two pieces of one id', (d) => (d.drains[1].run.pieces[0].id = 'd1'), /stands twice/],
  ]
  test.each(cases)('%s', (_, spoil, message) => {
    const file = aFile()
    spoil(file.designs[0].design)
    const read = readBasinObject(file)
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.faults.map((fault) => fault.message).join('\n')).toMatch(message)
  })
})
