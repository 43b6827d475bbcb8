import { cpSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import http from 'node:http'
import path from 'node:path'
import { inRoot } from '../setup/paths.mjs'
import { run } from '../setup/run.mjs'
import { processesWith } from './processes.mjs'
import { dataFolder, Editor, RunningApp } from './running-app.mjs'

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms))
const NPM = ['npm', 'start']

function isAlive(pid) {
  try {
    return process.kill(pid, 0)
  } catch {
    return false
  }
}

/** Waits until every one of these processes is gone; those that are not. */
async function left(pids, withinMs = 20_000) {
  for (const end = Date.now() + withinMs; Date.now() < end; await pause(100))
    if (!pids.some(isAlive)) return []
  return pids.filter(isAlive)
}

/** Every server process on this machine. */
const servers = () => processesWith('server/dist/main.js')

const wants = (holds, what) => (holds ? null : what)
const first = (...faults) => faults.find((fault) => fault !== null) ?? null
const says = (app, words) => wants(words.test(app.output), `it says: ${app.output.slice(-400)}`)

/** Runs with an application that is up; stops it in any case. */
async function withApp(act, options) {
  const app = new RunningApp(options)
  try {
    if (!(await app.start())) return `it did not start: ${app.output.slice(-600)}`
    return await act(app)
  } finally {
    await app.stop()
    rmSync(app.home, { recursive: true, force: true })
  }
}

/** A start on a folder that was prepared so: it must end by itself, say this, and change nothing of it. */
async function refused(prepare, words) {
  const home = dataFolder()
  prepare(home)
  const sum = async () =>
    (
      await run(
        'sh',
        [
          '-c',
          'find . -type f ! -name start.lock ! -name running.json -print0 | sort -z | xargs -0 sha256sum',
        ],
        { cwd: home },
      )
    ).stdout
  const before = await sum()
  const app = new RunningApp({ home })
  const up = await app.start()
  if (up) await app.stop()
  const after = await sum()
  const fault = first(
    wants(!up, 'it started'),
    says(app, words),
    wants(before === after, 'the folder was changed'),
    wants(!/\n\s+at /.test(app.output), 'it ended with a stack'),
  )
  await run('umount', [path.join(home, 'disk')])
  rmSync(home, { recursive: true, force: true })
  return fault
}

const half = (home) => {
  mkdirSync(path.join(home, 'postgres', 'base'), { recursive: true })
  writeFileSync(path.join(home, 'postgres', 'base', '1'), 'precious')
}
const cluster = (home, version, secrets) => {
  mkdirSync(path.join(home, 'postgres'))
  writeFileSync(path.join(home, 'postgres', 'PG_VERSION'), `${version}\n`)
  if (secrets !== undefined) writeFileSync(path.join(home, 'secrets.json'), secrets)
}
const SECRETS = JSON.stringify({
  adminPassword: 'a',
  ownerPassword: 'b',
  appPassword: 'c',
  sessionSecret: 'd',
})

/** A small disk of its own where the machine lets us make one; null where it does not. */
async function smallDisk(options) {
  const home = dataFolder()
  const disk = path.join(home, 'disk')
  mkdirSync(disk)
  const { code } = await run('mount', ['-t', 'tmpfs', '-o', options, 'tmpfs', disk])
  if (code === 0) return { home, disk }
  rmSync(home, { recursive: true, force: true })
  return null
}
async function onDisk(options, words) {
  const made = await smallDisk(options)
  if (!made) return 'skipped: this machine lets no disk be mounted'
  const app = new RunningApp({ home: path.join(made.disk, 'data') })
  const up = await app.start()
  if (up) await app.stop()
  await run('umount', [made.disk])
  rmSync(made.home, { recursive: true, force: true })
  return first(wants(!up, 'it started'), says(app, words))
}

/** What can go wrong with a start: each answers what is not as it must be, or null. */
const SCENES = [
  {
    name: 'two at once on one folder: one wins, one says who runs',
    short: true,
    run: () =>
      withApp(async (app) => {
        const other = new RunningApp({ home: app.home, port: app.port + 1 })
        const up = await other.start()
        const code = await other.ended()
        return first(
          wants(!up && code === 0, `the second ended with ${code}`),
          says(other, /already runs at http/),
          wants((await app.answers()) !== null, 'the first does not answer'),
        )
      }),
  },
  {
    name: 'dev beside a running one leaves its database alone',
    run: () =>
      withApp(async (app) => {
        const before = app.postmasterPid()
        const dev = new RunningApp({ home: app.home, port: app.port + 1 })
        await dev.start([process.execPath, inRoot('tools/dev.mjs')])
        return first(
          says(dev, /already runs at/),
          wants(app.postmasterPid() === before && isAlive(before), 'the database was stopped'),
        )
      }),
  },
  {
    name: 'a copy of a folder in use starts on its own',
    run: () =>
      withApp(async (app) => {
        const keeper = await new Editor(app.origin).arrive()
        await keeper.save(0.77)
        const home = dataFolder()
        cpSync(app.home, home, { recursive: true })
        await run('chown', [
          '-R',
          '--reference',
          path.join(app.home, 'postgres'),
          path.join(home, 'postgres'),
        ])
        await run('chmod', ['700', path.join(home, 'postgres')])
        const copy = new RunningApp({ home })
        const up = await copy.start()
        const fault = first(
          wants(up, `the copy: ${copy.output.slice(-400)}`),
          wants(
            (await keeper.stored()).design.tanks[0].widthM === 0.77,
            'the original lost a save',
          ),
        )
        await copy.stop()
        rmSync(home, { recursive: true, force: true })
        return first(fault, wants((await keeper.stored()) !== null, 'the original is gone'))
      }),
  },
  {
    name: 'a backup of what runs comes back elsewhere, with every save',
    short: true,
    run: () =>
      withApp(async (app) => {
        const keeper = await new Editor(app.origin).arrive()
        await keeper.save(0.77)
        const folder = dataFolder()
        const file = path.join(folder, 'all.dump')
        const tool = (name, home) =>
          run(process.execPath, [inRoot('tools', `${name}.mjs`), file], {
            env: { YEW_DATA_DIR: home },
          })
        const made = await tool('backup', app.home)
        const other = new RunningApp()
        const restored = await tool('restore', other.home)
        const up = await other.start()
        const fault = first(
          wants(made.code === 0, made.output),
          wants(restored.code === 0, restored.output),
          wants(up, other.output),
        )
        // The same browser's cookie opens the same shelf there, by the name that cookies have on that port.
        const there = up ? await keeper.elsewhere(other).stored() : null
        await other.stop()
        for (const home of [other.home, folder]) rmSync(home, { recursive: true, force: true })
        return first(fault, wants(there?.design.tanks[0].widthM === 0.77, 'the save is not there'))
      }),
  },
  {
    name: 'a taken port is said, and no other is taken',
    short: true,
    run: async () => {
      const server = http.createServer().listen(0, '127.0.0.1')
      await new Promise((up) => server.once('listening', up))
      const app = new RunningApp({ port: server.address().port })
      const up = await app.start()
      server.close()
      rmSync(app.home, { recursive: true, force: true })
      return first(wants(!up, 'it started'), says(app, /is taken by another program\n.*YEW_PORT=/))
    },
  },
  {
    name: 'SIGTERM to npm stops everything',
    short: true,
    run: async () => {
      const before = servers()
      const app = new RunningApp()
      if (!(await app.start(NPM))) return app.output
      const mine = servers().filter((pid) => !before.includes(pid))
      mine.push(app.postmasterPid())
      app.signal('SIGTERM')
      await app.ended()
      const alive = await left(mine)
      rmSync(app.home, { recursive: true, force: true })
      return first(
        wants(mine.length === 2, `it had ${mine.length} processes`),
        wants(alive.length === 0, `still there: ${alive.join(' ')}`),
      )
    },
  },
  {
    name: 'killed without a word: the server ends by itself, and the next start takes over',
    short: true,
    run: async () => {
      const app = new RunningApp()
      if (!(await app.start())) return app.output
      const keeper = await new Editor(app.origin).arrive()
      await keeper.save(0.77)
      const server = app.serverPid()
      app.signal('SIGKILL')
      const alive = await left([server])
      const again = await app.start()
      const kept = again && (await keeper.stored()).design.tanks[0].widthM === 0.77
      await app.stop()
      rmSync(app.home, { recursive: true, force: true })
      return first(
        wants(alive.length === 0, 'the server stayed'),
        wants(again, app.output.slice(-600)),
        wants(kept, 'a save was lost'),
      )
    },
  },
  ...['SIGTERM', 'SIGINT', 'SIGKILL'].flatMap((signal) =>
    [150, 500, 1000, 1800, 3000].map((ms) => ({
      name: `${signal} ${ms} ms into a first start, then again`,
      short: signal === 'SIGKILL' && ms === 1000,
      run: async () => {
        const app = new RunningApp()
        void app.start()
        await pause(ms)
        app.signal(signal)
        await app.ended()
        await pause(300)
        const up = await app.start()
        const fault = wants(up, app.output.slice(-800))
        await app.stop()
        rmSync(app.home, { recursive: true, force: true })
        return fault
      },
    })),
  ),
  {
    name: 'requests under way when it is told to stop are answered',
    run: () =>
      withApp(async (app) => {
        const keepers = []
        for (let i = 0; i < 8; i++) keepers.push(await new Editor(app.origin).arrive())
        const saves = keepers.map((keeper) =>
          keeper.save(0.6).then(
            ({ status }) => status,
            () => 'broken',
          ),
        )
        await pause(3)
        app.signal('SIGTERM')
        const answers = await Promise.all(saves)
        // One that had not reached it yet is refused by the system; none is broken off half-way.
        return wants(
          answers.includes(200) && answers.every((status) => status === 200 || status === 'broken'),
          `answers: ${answers.join(' ')}`,
        )
      }),
  },
  {
    name: 'half a restore is left alone',
    run: () => refused(half, /is not empty and is no database/),
  },
  {
    name: 'a database without its secrets is left alone',
    run: () => refused((home) => cluster(home, 15), /secrets\.json is missing/),
  },
  {
    name: 'torn secrets are said',
    run: () => refused((home) => cluster(home, 15, '{"own'), /secrets\.json is torn/),
  },
  {
    name: 'a database of another version gets its steps',
    run: () =>
      refused(
        (home) => cluster(home, 9, SECRETS),
        /was made by PostgreSQL 9[\s\S]*npm run restore/,
      ),
  },
  {
    name: 'a file where the folder must be is said',
    run: async () => {
      const home = dataFolder()
      writeFileSync(path.join(home, 'file'), 'precious')
      const app = new RunningApp({ home: path.join(home, 'file') })
      const up = await app.start()
      rmSync(home, { recursive: true, force: true })
      return first(wants(!up, 'it started'), says(app, /a file stands where a folder must be/))
    },
  },
  {
    name: 'a torn running.json is no hindrance',
    run: async () => {
      const home = dataFolder()
      writeFileSync(path.join(home, 'running.json'), '{"pid": 1, "addr')
      return withApp(async () => null, { home })
    },
  },
  {
    name: 'a disk that can only be read is said',
    run: () => onDisk('ro', /can only be read|Read-only/),
  },
  {
    name: 'a full disk is said',
    run: () => onDisk('size=12m', /disk is full|No space left/),
  },
  ...[
    ['YEW_PORT', 'abc', /YEW_PORT is "abc"/],
    ['YEW_LOG_LEVEL', 'loud', /YEW_LOG_LEVEL is "loud"/],
    ['YEW_HOST', 'no host', /YEW_HOST is "no host"/],
  ].map(([name, value, words]) => ({
    name: `${name}=${value} is said`,
    run: async () => {
      const app = new RunningApp({ env: { [name]: value } })
      const up = await app.start()
      rmSync(app.home, { recursive: true, force: true })
      return first(wants(!up, 'it started'), says(app, words))
    },
  })),
]

/** Every scene, or those of the short form. */
export async function starts({ short, say }) {
  const failures = []
  const skipped = []
  const scenes = SCENES.filter((scene) => !short || scene.short)
  for (const { name, run: play } of scenes) {
    const fault = await play().catch((error) => String(error.stack))
    if (fault?.startsWith('skipped')) skipped.push(name)
    else if (fault) failures.push(`${name}: ${fault}`)
    say(`  ${fault ? (fault.startsWith('skipped') ? '–' : '✘') : '✓'} ${name}`)
  }
  const more = skipped.length ? `, ${skipped.length} skipped` : ''
  return { failures, told: `${scenes.length} start scenes, ${failures.length} failed${more}` }
}
