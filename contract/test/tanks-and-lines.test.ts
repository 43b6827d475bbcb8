import { expect, test } from '@jest/globals'
import { solveBasin } from '@yew-basin/core'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { migrated, readBasinFile } from '../src/index.ts'

const text = readFileSync(fileURLToPath(new URL('frozen/format-1.json', import.meta.url)), 'utf8')
const old = JSON.parse(text).designs[0].design

test('the one tank, pump and run of format 1 become the first of each, with nothing lost', () => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const { tanks, returnSide, sump, water, pumps } = read.value.designs[0]!.design
  expect(tanks).toHaveLength(1)
  expect(tanks[0]).toMatchObject({
    ...old.tank,
    displacement: old.displacement,
    turnoverPerH: old.target.turnoverPerH,
  })
  expect(water).toMatchObject(old.water)
  expect(returnSide.lines[0]!.run).toMatchObject(old.returnSide.run)
  expect(returnSide.pumps[0]).toMatchObject({
    pumpId: old.returnSide.pumpId,
    speed: old.returnSide.speed,
    outlet: old.returnSide.outlet,
  })
  expect(sump.chambers[0]!.levelM).toBe(old.returnSide.sourceLevelM)
  expect(pumps.map(({ priceClass }) => priceClass)).toEqual(pumps.map(() => null))
  expect(solveBasin(read.value.designs[0]!.design).returnSide.lines).toHaveLength(1)
})

test('a torn document of format 1 is brought up without a fault of its own', () => {
  for (const torn of [null, 5, 'x', [], {}, { tank: 3, returnSide: null, pumps: [null, 1] }]) {
    expect(() => migrated(torn, 1)).not.toThrow()
  }
})
