import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { migrated, readBasinFile, readBasinObject } from '../src/index.ts'
import { withoutLater } from './without-later.ts'
import { aFile } from './a-file.ts'

const text = readFileSync(fileURLToPath(new URL('frozen/format-8.json', import.meta.url)), 'utf8')
const old = JSON.parse(text).designs[0].design

test('format 8 keeps all it had; valves that were set stay as they were set', () => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const design = JSON.parse(JSON.stringify(read.value.designs[0]!.design))
  expect(design.drains.map(({ keepsMatch }: { keepsMatch: unknown }) => keepsMatch)).toEqual(
    old.drains.map(() => false),
  )
  for (const drain of design.drains) delete drain.keepsMatch
  expect(withoutLater(design)).toEqual(old)
})

test('a torn document of format 8 is brought up without a fault of its own', () => {
  for (const document of [null, 5, 'x', [], {}, { drains: 3 }, { drains: [null, 'x'] }]) {
    expect(() => migrated(document, 8)).not.toThrow()
  }
})

test('whether a valve follows the flow is yes or no', () => {
  const file = aFile()
  file.designs[0].design.drains[0].keepsMatch = 'always'
  const read = readBasinObject(file)
  if (read.ok) throw new Error('it was read')
  expect(read.faults[0]!.path).toBe('designs[0].design.drains[0].keepsMatch')
  expect(read.faults[0]!.message).toMatch(/true or false/)
})
