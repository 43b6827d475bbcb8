import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { migrated, readBasinFile, readBasinObject } from '../src/index.ts'
import { withoutLater } from './without-later.ts'
import { aFile } from './a-file.ts'

const text = readFileSync(fileURLToPath(new URL('frozen/format-7.json', import.meta.url)), 'utf8')
const old = JSON.parse(text).designs[0].design

test('format 7 keeps all it had; what its drills allow for is the usual', () => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const { allowances, ...design } = read.value.designs[0]!.design
  for (const drain of design.drains) delete (drain as Partial<typeof drain>).keepsMatch
  expect(withoutLater(design)).toEqual(old)
  expect(allowances).toEqual({
    outOfLevelM: null,
    wavesM: null,
    leakM3PerS: null,
    cupCollectorM3: null,
    topOffTubeSiphons: false,
  })
})

test('a torn document of format 7 is brought up without a fault of its own', () => {
  for (const document of [null, 5, 'x', [], {}, { allowances: 3 }]) {
    expect(() => migrated(document, 7)).not.toThrow()
  }
})

test.each([
  ['outOfLevelM', -0.001, /0/],
  ['wavesM', 5, /0.1/],
  ['leakM3PerS', 'much', /number/],
  ['cupCollectorM3', 3, /0.1/],
  ['topOffTubeSiphons', 'yes', /true or false/],
])('%s that can’t be is named', (field, value, message) => {
  const file = aFile()
  file.designs[0].design.allowances[field] = value
  const read = readBasinObject(file)
  if (read.ok) throw new Error('it was read')
  expect(read.faults[0]!.path).toBe(`designs[0].design.allowances.${field}`)
  expect(read.faults[0]!.message).toMatch(message)
})
