import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { readBasinFile, readBasinObject } from '../src/index.ts'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'
import { withoutLater } from './without-later.ts'

const frozen = (version: number) =>
  readFileSync(fileURLToPath(new URL(`frozen/format-${version}.json`, import.meta.url)), 'utf8')
const designOf = (text: string): Plain => {
  const read = readBasinFile(text)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return JSON.parse(JSON.stringify(read.value.designs[0]!.design))
}
const faultsOf = (change: (design: Plain) => void): string[] => {
  const file = aFile()
  change(file.designs[0].design)
  const read = readBasinObject(file)
  return read.ok ? [] : read.faults.map(({ path }) => path)
}

test('format 12 keeps all it had; nothing was said of building', () => {
  const old: Plain = JSON.parse(frozen(12)).designs[0].design
  const design = designOf(frozen(12))
  expect(design.build).toBeNull()
  expect(withoutLater(design)).toEqual(withoutLater(old))
})

test('format 13 keeps joints, parts and the building plan as they were said', () => {
  const stored: Plain = JSON.parse(frozen(13)).designs[0].design
  const design = designOf(frozen(13))
  expect(design.build).toEqual(stored.build)
  expect(design.returnSide).toEqual(stored.returnSide)
  expect(design.tanks[0].overflow.holes).toEqual(stored.tanks[0].overflow.holes)
})

test('what is said of a joint must be one; what is left out need not be there', () => {
  const made = {
    partId: null,
    before: null,
    after: 'barb',
    isTrueUnion: false,
    branch: null,
    isClipped: true,
  }
  const piece = (design: Plain): Plain => design.returnSide.lines[0].run.pieces[0]
  expect(faultsOf((design) => (piece(design).made = made))).toEqual([])
  expect(faultsOf((design) => (piece(design).made = null))).toEqual([])
  const at = 'designs[0].design.returnSide.lines[0].run.pieces[0].made'
  expect(faultsOf((design) => (piece(design).made = { ...made, after: 'nailed' }))).toEqual([
    `${at}.after`,
  ])
  expect(faultsOf((design) => (piece(design).made = 'glued'))).toEqual([at])
  expect(faultsOf((design) => (design.returnSide.pumps[0].joint = 'tape'))).toEqual([
    'designs[0].design.returnSide.pumps[0].joint',
  ])
})

test('a building plan is held to what is possible', () => {
  const build = JSON.parse(frozen(13)).designs[0].design.build
  const at = 'designs[0].design.build'
  const changed = (more: Plain) => faultsOf((design) => (design.build = { ...build, ...more }))
  expect(changed({})).toEqual([])
  expect(changed({ metricStockM: 0.1 })).toEqual([`${at}.metricStockM`])
  expect(changed({ corners: { frontLeftM: 0 } })).toHaveLength(3)
  expect(changed({ takeOffs: [{ ...build.takeOffs[0], kind: 'knee' }] })).toEqual([
    `${at}.takeOffs[0].kind`,
  ])
})
