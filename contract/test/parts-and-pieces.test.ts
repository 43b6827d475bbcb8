import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { migrated, readBasinFile, readBasinObject } from '../src/index.ts'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'
import { withoutLater } from './without-later.ts'

const text = readFileSync(fileURLToPath(new URL('frozen/format-11.json', import.meta.url)), 'utf8')
const old: Plain = JSON.parse(text).designs[0].design

test('format 11 keeps all it had; a pump was taken from the part it is called by', () => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const design: Plain = JSON.parse(JSON.stringify(read.value.designs[0]!.design))
  expect(design.pumps.map(({ partId }: Plain) => partId)).toEqual(
    old.pumps.map(({ id }: Plain) => id),
  )
  expect(withoutLater(design)).toEqual(withoutLater(old))
})

const piece = (id: string, use: string) => ({ id, kind: 'device', use })
const device = (
  id: string,
  kind: string,
  lineId: string | null,
  pieceId: string | null = null,
) => ({
  id,
  part: { kind },
  lineId,
  pieceId,
})

test('a device of format 11 is the first piece of its kind in its line that is no other’s', () => {
  const document = {
    returnSide: {
      lines: [{ id: 'line', run: { pieces: [piece('a', 'reactor'), piece('b', 'reactor')] } }],
    },
    sump: {
      devices: [
        device('one', 'reactor', 'line'),
        device('two', 'reactor', 'line'),
        device('three', 'reactor', 'line'),
        device('meter', 'flow-meter', 'line', 'some-pipe'),
        device('apart', 'reactor', null),
      ],
    },
  }
  const { sump } = migrated(document, 11) as Plain
  expect(sump.devices.map(({ pieceId }: Plain) => pieceId)).toEqual([
    'a',
    'b',
    null,
    'some-pipe',
    null,
  ])
})

test('a torn document of format 11 is brought up without a fault of its own', () => {
  const torn = [
    null,
    5,
    'x',
    [],
    {},
    { pumps: 3, sump: 'x' },
    { pumps: [null], sump: { devices: [null, { lineId: 'x' }] }, returnSide: { lines: [null] } },
  ]
  for (const document of torn) expect(() => migrated(document, 11)).not.toThrow()
})

test('the part a pump was taken from is a name, or not set', () => {
  const file = aFile()
  file.designs[0].design.pumps[0].partId = 'teasel-4'
  expect(readBasinObject(file).ok).toBe(true)
  file.designs[0].design.pumps[0].partId = 7
  const read = readBasinObject(file)
  if (read.ok) throw new Error('it was read')
  expect(read.faults[0]!.path).toBe('designs[0].design.pumps[0].partId')
})
