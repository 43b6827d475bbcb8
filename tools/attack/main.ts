import { readFileSync, writeFileSync } from 'node:fs'
import { files } from './files.ts'
import { mutated } from './mutate.ts'
import { randomFrom } from './random.mjs'
import { requests } from './requests.ts'
import type { Footholds } from './fuzz-requests.ts'

/** The rounds that want the contract's own reader; what is asked comes as JSON, what came of it goes as JSON. */
const [round = '', given = '{}'] = process.argv.slice(2)
const asked = JSON.parse(given) as {
  count: number
  seed: number
  folder: string
  holds: string
  into: string
}

if (round === 'files') console.log(JSON.stringify(files(asked.folder, asked)))
else if (round === 'requests') {
  const holds = JSON.parse(readFileSync(asked.holds, 'utf8')) as Footholds
  console.log(JSON.stringify(await requests(holds, asked)))
} else if (round === 'damage') {
  // One damaged file each, for the solve command.
  const random = randomFrom(asked.seed)
  const sample = JSON.parse(readFileSync(asked.folder, 'utf8')) as unknown
  for (let i = 0; i < asked.count; i++)
    writeFileSync(`${asked.into}/${i}.json`, JSON.stringify(mutated(sample, random)))
  console.log('{}')
}
