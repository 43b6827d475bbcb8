import { describe, expect, test } from '@jest/globals'
import { solveBasin } from '@yew-basin/core'
import { readdirSync, readFileSync } from 'node:fs'
import { mutated } from '../../tools/attack/mutate.ts'
import { randomFrom } from '../../tools/attack/random.mjs'
import {
  BODY_BUDGET,
  budgetFault,
  check,
  readBasinFile,
  readBasinInTurns,
  readBasinObject,
  readPart,
  SaveDesign,
} from '../src/index.ts'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'

const frozen = new URL('./frozen/', import.meta.url)
const SAMPLES: readonly [string, unknown][] = readdirSync(frozen).map((name) => [
  name,
  JSON.parse(readFileSync(new URL(name, frozen), 'utf8')) as unknown,
])

describe('files that are wrong are refused, and nothing falls over them', () => {
  test.each(SAMPLES)('%s, 150 times damaged', (_, sample) => {
    const random = randomFrom(17)
    let refused = 0
    for (let i = 0; i < 150; i++) {
      const read = readBasinObject(mutated(sample, random))
      if (read.ok) for (const { design } of read.value.designs) solveBasin(design)
      else {
        refused++
        expect(read.faults.length).toBeGreaterThan(0)
      }
    }
    expect(refused).toBeGreaterThan(75)
  })

  test.each(SAMPLES)(
    '%s read one design at a time is read alike, with a turn after each',
    async (_, sample) => {
      const random = randomFrom(18)
      let turns = 0
      const turn = () => Promise.resolve(void (turns += 1))
      for (let i = 0; i < 60; i++) {
        const file: unknown = i === 0 ? sample : mutated(sample, random)
        const [once, inTurns] = [readBasinObject(file), await readBasinInTurns(file, turn)]
        const told = (read: typeof once) =>
          read.ok
            ? JSON.stringify(read.value)
            : read.faults.map(({ path, message }) => `${path}: ${message}`).sort()
        expect(told(inTurns)).toEqual(told(once))
      }
      expect(turns).toBeGreaterThan(30)
    },
  )

  test.each<[string, (file: Plain) => void, string]>([
    ['drills missing', (f) => delete f.designs[0].design.drills, 'drills'],
    [
      'a series every object has',
      (f) => (f.designs[0].design.returnSide.lines[0].run.size.series = 'toString'),
      'size.series',
    ],
    ['a constructor where text must be', (f) => (f.name = { constructor: 1 }), 'name'],
    ['half a character', (f) => (f.name = 'a\ud800'), 'name'],
    ['a design of nothing', (f) => (f.designs = [null]), 'designs[0]'],
    ['a kind that cannot be text', (f) => (piece(f).kind = { toString: 1 }), 'kind'],
  ])('%s', (_, change, field) => {
    const file = aFile()
    change(file)
    const read = readBasinObject(file)
    expect(read.ok ? [] : read.faults.map(({ path }) => path).join(' ')).toContain(field)
  })

  test.each(SAMPLES)('%s with a design of nothing', (_, sample) => {
    const read = readBasinObject({ ...(sample as object), designs: [null] })
    expect(read).toMatchObject({ ok: false, faults: [{ path: 'designs[0]' }] })
  })
})

const piece = (file: Plain): Plain => file.designs[0].design.returnSide.lines[0].run.pieces[0]

describe('a body over its budget is refused before it is walked', () => {
  const many = 150_000
  const keys = (n: number) => Object.fromEntries(Array.from({ length: n }, (_, i) => [`k${i}`, 1]))
  const HUGE: readonly [string, () => unknown][] = [
    ['150 000 ids', () => withLines(Array.from({ length: many }, (_, i) => ({ id: `l${i}` })))],
    ['150 000 unknown keys', () => ({ design: keys(many) })],
    ['150 000 drains in one design', () => ({ design: { drains: Array(many).fill({ id: 'd' }) } })],
    [
      'objects of few keys, many times',
      () => ({ design: { drains: Array(29_000).fill(keys(50)) } }),
    ],
    ['a deep nest', () => JSON.parse('[{"a":'.repeat(9000) + '1' + '}]'.repeat(9000)) as unknown],
  ]
  test.each(HUGE)('%s', (_, make) => {
    const body = make()
    const started = performance.now()
    const read = check(SaveDesign, body)
    // Some 100 ms on a quiet machine; walked, it takes minutes.
    expect(performance.now() - started).toBeLessThan(1500)
    expect(read.ok ? 0 : read.faults.length).toBeGreaterThan(0)
  })

  test('a list over its count is told once, and no entry of it is looked at', () => {
    let visits = 0
    const watched = Array.from({ length: 25_000 }, (_, i) => ({
      get id() {
        visits++
        return `d${i}`
      },
    }))
    const read = readBasinObject(withFileDrains(watched))
    expect(read.ok ? [] : read.faults.map(({ message }) => message)).toEqual([
      'must be a list of 0 to 24; it has 25000',
    ])
    // The budget itself counts values once.
    expect(visits).toBeLessThanOrEqual(25_000)
  })

  test('a design of more pieces than can be built is refused with their number', () => {
    const file = aFile()
    const { returnSide } = file.designs[0].design
    const [line] = returnSide.lines
    const pieces = (n: number) =>
      Array.from({ length: 200 }, (_, i) => ({
        id: `p${n}-${i}`,
        kind: 'pipe',
        lengthM: 0.1,
        direction: 'up',
      }))
    returnSide.lines = Array.from({ length: 9 }, (_, n) => ({
      ...line,
      id: `l${n}`,
      run: { ...line.run, pieces: pieces(n) },
    }))
    const read = readBasinObject(file)
    expect(read.ok ? '' : read.faults.map(({ message }) => message).join()).toContain(
      'at most 1500 pieces',
    )
  })

  test('a hundred faults are enough', () => {
    const drains = Array.from({ length: 24 }, () => keys(60))
    const read = readBasinObject(withFileDrains(drains))
    expect(read.ok ? 0 : read.faults.length).toBe(100)
  })

  test('the fullest file there is has room in it', () => {
    const file = aFile()
    file.designs = Array.from({ length: 20 }, (_, i) => ({
      ...file.designs[0],
      current: i === 0,
    }))
    expect(budgetFault(file)).toBeNull()
    expect(readBasinFile(JSON.stringify(file)).ok).toBe(true)
    expect(BODY_BUDGET.keys).toBeLessThan(2 ** 17)
  })

  function withLines(lines: unknown) {
    const { design } = aFile().designs[0]
    return { design: { ...design, returnSide: { ...design.returnSide, lines } } }
  }
  function withFileDrains(drains: unknown) {
    const file = aFile()
    file.designs[0].design.drains = drains
    return file
  }
})

test('a part of any shape is refused by name or kept', () => {
  const random = randomFrom(4)
  const part = { kind: 'pump', name: 'Own', spec: aFile().designs[0].design.pumps[0] }
  for (let i = 0; i < 400; i++) {
    const read = readPart(mutated(part, random))
    if (!read.ok) expect(read.faults[0]!.message).not.toBe('')
  }
})
