import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { migrated, readBasinFile, readBasinObject } from '../src/index.ts'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'
import { withoutLater } from './without-later.ts'

const text = readFileSync(fileURLToPath(new URL('frozen/format-9.json', import.meta.url)), 'utf8')
const old: Plain = JSON.parse(text).designs[0].design

test('format 9 keeps all it had; no pump’s size and no meter’s pipe is set', () => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const design: Plain = JSON.parse(JSON.stringify(read.value.designs[0]!.design))
  expect(design.pumps.map(({ size }: Plain) => size)).toEqual(old.pumps.map(() => null))
  expect(design.sump.devices.map(({ pieceId }: Plain) => pieceId)).toEqual(
    old.sump.devices.map(() => null),
  )
  expect(withoutLater(design)).toEqual(old)
})

test('a torn document of format 9 is brought up without a fault of its own', () => {
  for (const document of [null, 5, 'x', [], {}, { pumps: 3, sump: 'x' }, { pumps: [null] }]) {
    expect(() => migrated(document, 9)).not.toThrow()
  }
})

test('a pump’s size is three lengths, or not set', () => {
  const sizes = [null, { lengthM: 0.1, widthM: 0.1, heightM: 0.1 }]
  for (const size of sizes) {
    const file = aFile()
    file.designs[0].design.pumps[0].size = size
    expect(readBasinObject(file).ok).toBe(true)
  }
  const file = aFile()
  file.designs[0].design.pumps[0].size = { lengthM: 0.1, widthM: 'wide', heightM: 0.1 }
  const read = readBasinObject(file)
  if (read.ok) throw new Error('it was read')
  expect(read.faults[0]!.path).toBe('designs[0].design.pumps[0].size.widthM')
})
