import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { COUNTS, migrated, readBasinFile, readBasinObject } from '../src/index.ts'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'
import { withoutLater } from './without-later.ts'

const text = readFileSync(fileURLToPath(new URL('frozen/format-10.json', import.meta.url)), 'utf8')
const old: Plain = JSON.parse(text).designs[0].design

test('format 10 keeps all it had, and all of it counts as given', () => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const design: Plain = JSON.parse(JSON.stringify(read.value.designs[0]!.design))
  expect({ ...withoutLater(design), assumed: design.assumed }).toEqual({
    ...withoutLater(old),
    assumed: [],
  })
})

test('a torn document of format 10 is brought up without a fault of its own', () => {
  for (const document of [null, 5, 'x', [], {}]) {
    expect(() => migrated(document, 10)).not.toThrow()
  }
})

test.each<[string, unknown]>([
  ['no list', 'tanks[tank].lengthM'],
  ['a number in it', [3]],
  ['an empty name', ['']],
  ['one name twice', ['water.salinityPpt', 'water.salinityPpt']],
  ['a name too long', ['x'.repeat(COUNTS.assumedLength + 1)]],
  ['too many', Array.from({ length: COUNTS.assumed + 1 }, (_, i) => `a${i}`)],
])('what is assumed is a list of names: %s is refused', (_, assumed) => {
  const file = aFile()
  file.designs[0].design.assumed = assumed
  const read = readBasinObject(file)
  if (read.ok) throw new Error('it was read')
  expect(read.faults[0]!.path).toBe('designs[0].design.assumed')
})
