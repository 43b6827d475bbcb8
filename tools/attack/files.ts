import { readBasinFile } from '@yew-basin/contract'
import { solveBasin } from '@yew-basin/core'
import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { mutated } from './mutate.ts'
import { randomFrom } from './random.mjs'
import { outcome, type Outcome } from './outcome.ts'

/** Longer than this, and whoever sent the file waits. */
const MOST_MS = 10_000

/** Damaged texts that are not even JSON, or not ours. */
function torn(text: string, random: () => number): string {
  const at = Math.floor(random() * text.length)
  const ways = [
    text.slice(0, at),
    text.slice(at),
    `${text.slice(0, at)}\u0000${text.slice(at)}`,
    text.replaceAll(/\d+/g, (digits) => (random() < 0.02 ? '1e999' : digits)),
    `${'['.repeat(10_000)}`,
    '',
  ]
  return ways[Math.floor(random() * ways.length)]!
}

/** Reads so many damaged files, and solves those that are accepted: nothing throws, nothing takes long. */
export function files(folder: string, { count, seed }: { count: number; seed: number }): Outcome {
  const random = randomFrom(seed)
  const samples = readdirSync(folder)
    .filter((name) => name.endsWith('.json'))
    .map((name) => readFileSync(path.join(folder, name), 'utf8'))
  const plain = samples.map((text) => JSON.parse(text) as unknown)
  const failures: string[] = []
  let accepted = 0
  let slowestMs = 0
  for (let i = 0; i < count; i++) {
    const pick = Math.floor(random() * samples.length)
    const text =
      random() < 0.15 ? torn(samples[pick]!, random) : JSON.stringify(mutated(plain[pick], random))
    const started = performance.now()
    try {
      const read = readBasinFile(text)
      if (read.ok) {
        accepted++
        for (const { design } of read.value.designs) solveBasin(design)
      } else if (read.faults.length === 0) failures.push('refused without a reason')
    } catch (error) {
      failures.push(`${(error as Error).stack}\n${text.slice(0, 300)}`)
    }
    slowestMs = Math.max(slowestMs, performance.now() - started)
  }
  if (slowestMs > MOST_MS) failures.push(`a file took ${slowestMs.toFixed(0)} ms`)
  return outcome(
    failures,
    `${count} files, ${accepted} accepted and solved, ${failures.length} threw, slowest ${slowestMs.toFixed(0)} ms`,
  )
}
