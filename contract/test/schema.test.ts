import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { Ajv } from 'ajv'
import { spawnSync } from 'node:child_process'
import { readFileSync, rmSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'

const root = fileURLToPath(new URL('../../', import.meta.url))
const docs = (name: string) =>
  JSON.parse(readFileSync(`${root}docs/format/${name}`, 'utf8')) as object
/** Runs a tool of this checkout and gives what it printed. */
function tool(main: readonly string[], input: string, ...args: string[]) {
  return spawnSync(process.execPath, [...main, ...args], {
    cwd: root,
    input,
    encoding: 'utf8',
    env: { ...process.env, NODE_OPTIONS: '', TSX_TSCONFIG_PATH: `${root}tsconfig.json` },
  })
}
const FORMATS = ['--import', 'tsx', '--conditions=source', `${root}tools/formats/print.ts`]

/** The solve command in one file: reading all of the core from its sources takes longer than it runs. */
let bundle: { readonly outDir: string; readonly file: string }
beforeAll(() => {
  const { stdout } = tool([`${root}tools/setup/bundle-main.mjs`, 'tools/solve/main.ts'], '')
  bundle = JSON.parse(stdout) as typeof bundle
}, 60_000)
afterAll(() => {
  rmSync(bundle.outDir, { recursive: true, force: true })
})
const solve = (input: string, ...args: string[]) => tool([bundle.file], input, ...args)

const ajv = () => new Ajv({ strict: false, allErrors: true })

test('the documented formats are those the code has', () => {
  const { stdout, status } = tool(FORMATS, '')
  expect(status).toBe(0)
  const now = JSON.parse(stdout) as Record<string, object | string>
  for (const [name, made] of Object.entries(now)) {
    const there = readFileSync(`${root}docs/format/${name}`, 'utf8')
    expect([name, typeof made === 'string' ? there : docs(name)]).toEqual([name, made])
  }
  expect(Object.keys(now)).toHaveLength(3)
}, 60_000)

describe('the basin file’s schema', () => {
  const valid = ajv().compile(docs('basin-file.schema.json'))
  test('takes a right file', () => {
    expect(valid(aFile())).toBe(true)
  })
  test.each<[string, (file: Plain) => void]>([
    ['a size too large', (f) => (f.designs[0].design.tanks[0].lengthM = 99)],
    ['a property too many', (f) => (f.extra = 1)],
    [
      'an unknown piece',
      (f) => (f.designs[0].design.returnSide.lines[0].run.pieces[0].kind = 'tap'),
    ],
    ['a missing null', (f) => delete f.designs[0].design.returnSide.lines[0].run.size.boreM],
  ])('refuses %s', (_, change) => {
    const file = aFile()
    change(file)
    expect(valid(file)).toBe(false)
  })
})

describe('the solve command', () => {
  test('prints what its schema says, for a file and for standard input', () => {
    const solved = solve(JSON.stringify(aFile()), '-')
    expect(solved.stderr).toBe('')
    expect(solved.status).toBe(0)
    const valid = ajv().compile(docs('solved-file.schema.json'))
    const answer = JSON.parse(solved.stdout)
    expect(valid(answer) ? [] : valid.errors).toEqual([])
    expect(answer.designs[0].returnSide.flowM3PerS).toBeGreaterThan(0)
    expect(Object.keys(answer.designs[0].workings)).toContain('flow')
  }, 30_000)
  test('runs the drills when it is asked to, as its schema says', () => {
    const solved = solve(JSON.stringify(aFile()), '-', '--drills')
    expect(solved.stderr).toBe('')
    const valid = ajv().compile(docs('solved-file.schema.json'))
    const answer = JSON.parse(solved.stdout)
    expect(valid(answer) ? [] : valid.errors).toEqual([])
    const { verdicts, survival } = answer.designs[0].drills
    expect(verdicts.map((verdict: Plain) => verdict.drillId)).toContain('power-cut')
    expect(survival.single.dry + survival.single.watch + survival.single.wet).toBeGreaterThan(3)
  }, 60_000)
  test('a bad file ends with 2 and a line a fault', () => {
    const file = aFile()
    file.name = ''
    file.designs[0].design.tanks[0].lengthM = 0
    const solved = solve(JSON.stringify(file), '-')
    expect(solved.status).toBe(2)
    expect(solved.stdout).toBe('')
    expect(solved.stderr.trim().split('\n')).toEqual([
      'name: must be text of 1 to 80 characters; it is ""',
      'designs[0].design.tanks[0].lengthM: must be a number from 0.1 to 10; it is 0',
    ])
  }, 30_000)
  test('a file that is not there, and no file at all, end with 2', () => {
    expect(solve('', 'no-such-file.json')).toMatchObject({ status: 2, stdout: '' })
    expect(solve('')).toMatchObject({ status: 2, stdout: '' })
  }, 30_000)
})
