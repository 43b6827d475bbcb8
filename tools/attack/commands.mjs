import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { inRoot } from '../setup/paths.mjs'
import { run } from '../setup/run.mjs'
import { randomFrom } from './random.mjs'

/** Every fix of every finding is tried by its drills, which takes some seconds; longer than this, and whoever typed it waits; a simulation of the currents is asked for by its own word. */
const MOST_MS = 30_000
const MOST_CURRENTS_MS = 300_000
const ODD_WORDS = [
  '--nothing',
  '-',
  '',
  '/',
  '/dev/null',
  '/nowhere.json',
  '.',
  '--drills',
  '--currents',
  '\ud83d\ude00',
  '--help',
  '..',
  '-x',
]
const LANES = 2

/** Types so many command lines of `solve`, most of them wrong: each ends with an answer or one line a fault. */
export async function commands({ count, seed, solve, damage }) {
  const random = randomFrom(seed)
  const pick = (list) => list[Math.floor(random() * list.length)]
  const folder = mkdtempSync(path.join(os.tmpdir(), 'yew-commands-'))
  const failures = []
  let done = 0
  let slowest = 0
  let answered = 0
  try {
    await damage(folder, Math.ceil(count / 2))
    writeFileSync(path.join(folder, 'torn.json'), '{"format": "yew-ba')
    writeFileSync(path.join(folder, 'empty.json'), '')
    const names = readdirSync(folder).map((name) => path.join(folder, name))
    const sound = inRoot('contract/test/frozen/format-8.json')
    const line = () => {
      const words = [random() < 0.8 ? pick([sound, ...names, ...names]) : pick(ODD_WORDS)]
      if (random() < 0.1) words.push(pick(ODD_WORDS))
      return random() < 0.1 ? words.reverse() : words
    }
    const lane = async () => {
      while (done < count) {
        done++
        const words = line()
        const started = performance.now()
        const { code, output } = await run(process.execPath, [solve, ...words])
        const ms = performance.now() - started
        slowest = Math.max(slowest, ms)
        if (code === 0) answered++
        if (![0, 2].includes(code) || /\n\s+at .+:\d+:\d+/.test(output))
          failures.push(`solve ${words.join(' ')} ended with ${code}:\n${output.slice(0, 400)}`)
        const most = words.includes('--currents') ? MOST_CURRENTS_MS : MOST_MS
        if (ms > most) failures.push(`solve ${words.join(' ')} took ${Math.round(ms)} ms`)
      }
    }
    await Promise.all(Array.from({ length: LANES }, lane))
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
  return {
    failures,
    told: `${done} command lines, ${answered} answered, ${failures.length} wrong, slowest ${Math.round(slowest)} ms`,
  }
}
