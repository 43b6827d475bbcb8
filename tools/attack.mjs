import { chmodSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { commands } from './attack/commands.mjs'
import { kills } from './attack/kills.mjs'
import { Editor, RunningApp } from './attack/running-app.mjs'
import { starts } from './attack/starts.mjs'
import { ensureBuilt } from './setup/build.mjs'
import { bundled } from './setup/bundle.mjs'
import { ensureChromium } from './setup/chromium.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot } from './setup/paths.mjs'
import { freePort } from './setup/ports.mjs'
import { ensurePostgres } from './setup/postgres.mjs'
import { must, reporting, run } from './setup/run.mjs'

const FROZEN = inRoot('contract', 'test', 'frozen')
const say = (text) => console.log(text)
const words = process.argv.slice(2)
const short = words.includes('--short')
const asked = words.filter((word) => !word.startsWith('--'))
const seed = Number(words.find((word) => word.startsWith('--seed='))?.slice(7) ?? 1)
const scratch = mkdtempSync(path.join(os.tmpdir(), 'yew-attack-run-'))
// The database's own user must be able to pass through it.
chmodSync(scratch, 0o755)
const opened = []

/** A bundle, removed when all is done. */
async function bundle(main) {
  const made = await bundled(main)
  opened.push(made.outDir)
  return made.file
}

/** One of the rounds that run beside the contract's own reader. */
async function beside(round, given) {
  const file = await bundle('tools/attack/main.ts')
  const advice = 'read what it printed.'
  const { stdout } = await must({ step: `Round ${round}`, advice }, process.execPath, [
    file,
    round,
    JSON.stringify(given),
  ])
  return JSON.parse(stdout.trim().split('\n').at(-1))
}

/** One keeper may ask 6000 times in five minutes: each batch is another's. */
const BATCH = 4000

async function requests(count) {
  const app = new RunningApp({ env: { YEW_THROWAWAY: '1' } })
  const failures = []
  const told = []
  try {
    if (!(await app.start())) return { failures: [app.output], told: 'it did not start' }
    // All of them come first: few guests are let in from one address, and the rounds use that up.
    const keepers = []
    for (let sent = 0; sent < count; sent += BATCH) keepers.push(await footholds(app.origin))
    for (const [batchAt, keeper] of keepers.entries()) {
      const sent = batchAt * BATCH
      const holds = path.join(scratch, `holds-${sent}.json`)
      writeFileSync(holds, JSON.stringify(keeper))
      const given = { count: Math.min(BATCH, count - sent), seed: seed + sent, holds }
      const batch = await beside('requests', given)
      failures.push(...batch.failures)
      told.push(batch.told)
    }
    return { failures, told: told.join('\n  ') }
  } finally {
    await app.stop()
    rmSync(app.home, { recursive: true, force: true })
  }
}

/** A keeper with things that are really there. */
async function footholds(origin) {
  const keeper = await new Editor(origin).arrive()
  const part = { kind: 'valve', name: 'Mine', spec: { form: 'gate', kvM3PerH: 22 } }
  const kept = await keeper.ask('/parts', { method: 'POST', body: JSON.stringify(part) })
  const file = (await keeper.ask(`/basins/${keeper.basin.id}/export`)).body
  const { design } = keeper.design
  return {
    origin,
    cookie: keeper.cookie,
    basinId: keeper.basin.id,
    designId: keeper.design.id,
    partId: kept.body.id,
    tankId: design.tanks[0].id,
    design,
    file,
    part,
  }
}

/** What happens in a browser: tabs, networks, full and forbidden storage. */
async function scenes() {
  const env = {
    YEW_E2E_PORT: String(await freePort()),
    YEW_E2E_DATA: path.join(scratch, 'data'),
    YEW_E2E_BROWSER: await ensureChromium(say),
  }
  const playwright = inRoot('node_modules', '.bin', 'playwright')
  const { code, output } = await run(playwright, ['test', 'trust', 'two-tabs'], {
    cwd: inRoot('e2e'),
    env,
  })
  const told = /\d+ passed.*/.exec(output)?.[0] ?? 'none passed'
  return { failures: code === 0 ? [] : [output.slice(-3000)], told: `browser scenes: ${told}` }
}

/** Each with its long form and its short, seeded one. */
const ROUNDS = {
  files: () => beside('files', { count: short ? 300 : 4000, seed, folder: FROZEN }),
  commands: async () => {
    const solve = await bundle('tools/solve/main.ts')
    const folder = path.join(FROZEN, 'format-8.json')
    const damage = (into, count) => beside('damage', { count, seed, folder, into })
    return commands({ count: short ? 5 : 2000, seed, solve, damage })
  },
  requests: () => requests(short ? 600 : 20_000),
  kills: () => kills({ rounds: short ? 2 : 100, seed, say }),
  starts: () => starts({ short, say }),
  // In npm test they are among the journeys.
  ...(short ? {} : { scenes }),
}

await reporting(async () => {
  await ensurePackages(say)
  await ensurePostgres(say)
  await ensureBuilt(say)
  for (const [name, play] of Object.entries(ROUNDS)) {
    if (asked.length > 0 && !asked.includes(name)) continue
    const started = Date.now()
    const { failures, told } = await play()
    say(`${name}: ${told} (${Math.round((Date.now() - started) / 1000)} s)`)
    for (const failure of failures.slice(0, 20)) console.error(`  ✘ ${failure}`)
    if (failures.length > 0) process.exitCode = 1
  }
})
for (const folder of [scratch, ...opened]) rmSync(folder, { recursive: true, force: true })
