import { spawnSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import path from 'node:path'
import { Application, stopOnSignals } from './setup/application.mjs'
import { dataFolder, Editor } from './attack/running-app.mjs'
import { ensureBuilt } from './setup/build.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot } from './setup/paths.mjs'
import { freePort } from './setup/ports.mjs'
import { ensurePostgres } from './setup/postgres.mjs'
import { reporting } from './setup/run.mjs'
import { startSettings } from './setup/settings.mjs'

const EDITORS = 200
const EVERY_MS = 2000
const SECONDS = 30
/** Before it counts: programs just started are slow. */
const WARM_SECONDS = 6
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms))
const say = (text) => console.log(text)

const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]
const line = (name, times) => {
  const sorted = [...times].sort((a, b) => a - b)
  const [half, most, last] = [0.5, 0.99, 1].map((share) => at(sorted, share).toFixed(1))
  return `${name}: median ${half} ms, p99 ${most} ms, slowest ${last} ms (${sorted.length})`
}

/** Every editor saves each two seconds, at moments of their own. */
async function saving(editors, seconds) {
  const times = []
  const refused = {}
  const end = performance.now() + seconds * 1000
  await Promise.all(
    editors.map(async (editor, i) => {
      await pause((i / editors.length) * EVERY_MS)
      for (let n = 0; performance.now() < end; n++) {
        const started = performance.now()
        const { status, body } = await editor.save(0.5 + (n % 50) / 1000)
        times.push(performance.now() - started)
        if (status === 200) editor.design.revision = body.revision
        else refused[status] = (refused[status] ?? 0) + 1
        await pause(Math.max(0, EVERY_MS - (performance.now() - started)))
      }
    }),
  )
  return { times, refused }
}

/** How long the server's loop was held while huge and hostile requests came, as another one's ping felt it. */
async function heldBy(editor, other, bodies) {
  const report = []
  for (const [name, body, address] of bodies) {
    const pings = []
    let going = true
    const pinging = (async () => {
      while (going) {
        const started = performance.now()
        await other.ask('/nowhere')
        pings.push(performance.now() - started)
      }
    })()
    await pause(100)
    const started = performance.now()
    const { status } = await editor.ask(address ?? `/designs/${editor.design.id}`, {
      method: address ? 'POST' : 'PUT',
      headers: { 'If-Match': '"1"' },
      body,
    })
    const took = performance.now() - started
    await pause(50)
    going = false
    await pinging
    report.push(
      `  ${name}: ${status} after ${took.toFixed(0)} ms; slowest ping beside it ${Math.max(...pings).toFixed(0)} ms`,
    )
  }
  return report
}

/** A shelf of so many basins: the first page and all of them. */
async function shelf(editor, cluster, count) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: cluster.ownerUrl() })
  await client.connect()
  await client.query(
    `WITH made AS (
       INSERT INTO basins (id, workspace_id, name, note, created_at)
       SELECT gen_random_uuid(), b.workspace_id, 'No ' || n, '', now() + n * interval '1 second'
       FROM basins b, generate_series(1, ${count}) n WHERE b.id = $1 RETURNING *)
     INSERT INTO designs (id, basin_id, workspace_id, name, is_current, format_version, document,
       shelf_figures, figures_revision, figures_core)
     SELECT gen_random_uuid(), made.id, made.workspace_id, 'x', true, d.format_version, d.document,
       d.shelf_figures, 1, d.figures_core FROM made, designs d WHERE d.basin_id = $1`,
    [editor.basin.id],
  )
  await client.query('ANALYZE')
  await client.end()
  const times = []
  for (let i = 0; i < 15; i++) {
    const started = performance.now()
    let next = ''
    let entries = 0
    do {
      const { body } = await editor.ask(`/basins?after=${next}`)
      entries += body.entries.length
      next = body.next
    } while (next !== null)
    if (entries < count) throw new Error(`${entries} of ${count} basins came`)
    times.push(performance.now() - started)
  }
  return line(`a shelf of ${count} basins, all pages`, times)
}

/** The machine's own measure: how many small transactions its PostgreSQL does, on the same cluster. */
function pgbench(bin, cluster) {
  const tool = path.join(bin, 'pgbench')
  const url = cluster.adminUrl('postgres')
  spawnSync(tool, ['-i', '-q', '-s', '2', url], { stdio: 'ignore' })
  const { stdout } = spawnSync(tool, ['-c', '10', '-j', '2', '-T', '8', url], { encoding: 'utf8' })
  return (stdout ?? '')
    .split('\n')
    .filter((text) => /latency average|tps/.test(text))
    .map((text) => `  ${text}`)
    .join('\n')
}

const KEYS = Object.fromEntries(Array.from({ length: 60_000 }, (_, i) => [`k${i}`, 1]))
const HOSTILE = (design, file) => [
  [
    'an import of twenty designs',
    JSON.stringify({
      ...file,
      designs: Array.from({ length: 20 }, (_, i) => ({ ...file.designs[0], current: i === 0 })),
    }),
    '/basins/import',
  ],
  [
    '150 000 ids',
    JSON.stringify({
      design: { drains: Array.from({ length: 60_000 }, (_, i) => ({ id: `l${i}` })) },
    }),
  ],
  ['60 000 unknown keys', JSON.stringify({ design: KEYS })],
  ['900 kB of text', JSON.stringify({ design: 'x'.repeat(900_000) })],
  ['deep nesting', `{"design":${'['.repeat(100_000)}${']'.repeat(100_000)}}`],
  ['a full design, 20 lines of 200 pieces', JSON.stringify({ design: fullOf(design, 20) })],
]
/** As many pieces as a design may hold, in its first line's run, so that all of it is looked at. */
function fullOf(design, lines) {
  const whole = structuredClone(design)
  const [first] = whole.returnSide.lines
  const pieces = (n) =>
    Array.from({ length: 200 }, (_, i) => ({
      id: `p${n}-${i}`,
      kind: 'pipe',
      lengthM: 0.1,
      direction: i % 2 ? 'up' : 'left',
    }))
  whole.returnSide.lines = Array.from({ length: lines }, (_, n) => ({
    ...first,
    id: `l${n}`,
    run: { ...first.run, pieces: pieces(n) },
  }))
  return whole
}

await reporting(async () => {
  await ensurePackages(say)
  const bin = await ensurePostgres(say)
  await ensureBuilt(say)
  const home = dataFolder()
  const port = await freePort()
  const application = new Application(
    { ...startSettings(process.env), port, dataDir: home, durable: true },
    say,
  )
  stopOnSignals(application, say)
  await application.claim()
  try {
    await application.startDatabase(bin)
    await application.prepare([inRoot('server/dist/prepare-main.js')])
    const origin = await application.serve([inRoot('server/dist/main.js')], {
      NODE_ENV: 'production',
    })
    const editors = []
    for (let i = 0; i < EDITORS; i++) editors.push(await new Editor(origin).arrive())
    await saving(editors, WARM_SECONDS)
    const { times, refused } = await saving(editors, SECONDS)
    say(line(`${EDITORS} editors, a save each ${EVERY_MS / 1000} s for ${SECONDS} s`, times))
    say(`  refused: ${Object.keys(refused).length ? JSON.stringify(refused) : 'none'}`)
    const fresh = await new Editor(origin).arrive()
    say(await shelf(fresh, application.cluster, 1500))
    const file = (await fresh.ask(`/basins/${fresh.basin.id}/export`)).body
    say('Beside hostile requests:')
    for (const told of await heldBy(editors[0], editors[1], HOSTILE(fresh.design.design, file)))
      say(told)
    say('pgbench on the same cluster, 10 clients:')
    say(pgbench(bin, application.cluster))
  } finally {
    await application.stop()
    rmSync(home, { recursive: true, force: true })
  }
})
