import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
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

async function requests(count) {
  const app = new RunningApp({ env: { YEW_THROWAWAY: '1' } })
  try {
    if (!(await app.start())) return { failures: [app.output], told: 'it did not start' }
    const keeper = await new Editor(app.origin).arrive()
    const part = { kind: 'valve', name: 'Mine', spec: { form: 'gate', kvM3PerH: 22 } }
    const kept = await keeper.ask('/parts', { method: 'POST', body: JSON.stringify(part) })
    const holds = path.join(scratch, 'holds.json')
    const file = (await keeper.ask(`/basins/${keeper.basin.id}/export`)).body
    const { design } = keeper.design
    writeFileSync(
      holds,
      JSON.stringify({
        origin: app.origin,
        cookie: keeper.cookie,
        basinId: keeper.basin.id,
        designId: keeper.design.id,
        partId: kept.body.id,
        tankId: design.tanks[0].id,
        design,
        file,
        part,
      }),
    )
    return await beside('requests', { count, seed, holds })
  } finally {
    await app.stop()
    rmSync(app.home, { recursive: true, force: true })
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
    const folder = path.join(FROZEN, 'format-6.json')
    const damage = (into, count) => beside('damage', { count, seed, folder, into })
    return commands({ count: short ? 40 : 2000, seed, solve, damage })
  },
  requests: () => requests(short ? 1500 : 20_000),
  kills: () => kills({ rounds: short ? 4 : 100, seed, say }),
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
