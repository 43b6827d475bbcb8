import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { spawn } from 'node:child_process'
import {
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import path from 'node:path'
import pg from 'pg'
import { inRoot } from '../setup/paths.mjs'
import { run } from '../setup/run.mjs'
import { giveToServer, serverUser } from '../setup/server-user.mjs'
import { ensurePostgres } from '../setup/postgres.mjs'
import { aCluster, aFolder, cleared, contentsOf } from './a-folder.mjs'

async function asked(url, sql, values) {
  const client = new pg.Client({ connectionString: url })
  client.on('error', () => {})
  await client.connect()
  try {
    return (await client.query(sql, values)).rows
  } finally {
    await client.end()
  }
}
const isAlive = (pid) => {
  try {
    return process.kill(pid, 0)
  } catch {
    return false
  }
}
const postmasterOf = (home) =>
  Number(readFileSync(path.join(home, 'postgres', 'postmaster.pid'), 'utf8').split('\n')[0])

let home
let first
beforeAll(async () => {
  home = aFolder()
  first = await aCluster(home)
  await first.start()
  await asked(first.ownerUrl(), 'CREATE TABLE mine (word text)')
  await asked(first.ownerUrl(), "INSERT INTO mine VALUES ('here')")
})
afterAll(cleared)

describe('a database of our own', () => {
  test('has checksums, and an owner who is no superuser', async () => {
    expect(await asked(first.ownerUrl(), 'SHOW data_checksums')).toEqual([{ data_checksums: 'on' }])
    const roles = await asked(
      first.ownerUrl(),
      "SELECT rolname, rolsuper FROM pg_roles WHERE rolname LIKE 'yew_%' ORDER BY 1",
    )
    expect(roles).toEqual([
      { rolname: 'yew_admin', rolsuper: true },
      { rolname: 'yew_app', rolsuper: false },
      { rolname: 'yew_owner', rolsuper: false },
    ])
  })
  test('writes nothing into its log that a keeper wrote', async () => {
    await asked(first.ownerUrl(), "SELECT 'a secret word'::int").catch(() => {})
    const log = readFileSync(path.join(home, 'database.log'), 'utf8')
    expect(log).toContain('ready to accept connections')
    expect(log).not.toContain('secret')
  })
})

describe('a copy of a folder in use', () => {
  test('starts on its own, and the original goes on', async () => {
    const copy = aFolder()
    cpSync(home, copy, { recursive: true, preserveTimestamps: true })
    await run('chown', [
      '-R',
      '--reference',
      path.join(home, 'postgres'),
      path.join(copy, 'postgres'),
    ])
    await run('chmod', ['700', path.join(copy, 'postgres')])
    const before = postmasterOf(home)
    const second = await aCluster(copy)
    await second.start()
    expect(await asked(first.ownerUrl(), 'SELECT word FROM mine')).toEqual([{ word: 'here' }])
    expect([postmasterOf(home), isAlive(before)]).toEqual([before, true])
    const data = await asked(second.adminUrl(), 'SHOW data_directory')
    expect(data[0].data_directory).toBe(path.join(copy, 'postgres'))
    expect(readdirSync(path.join(copy, 'postgres')).join(' ')).toContain(
      'postmaster.pid.of-another',
    )
    await second.stop()
  })
})

describe('a postmaster.pid that names somebody else’s process', () => {
  test('is put aside, and that process is signalled by nobody', async () => {
    const folder = aFolder()
    const cluster = await aCluster(folder)
    await cluster.start()
    const lines = readFileSync(path.join(folder, 'postgres', 'postmaster.pid'), 'utf8').split('\n')
    await cluster.stop()
    const stranger = spawn('sleep', ['60'])
    let signalled = null
    stranger.once('exit', (_code, signal) => (signalled = signal))
    const file = path.join(folder, 'postgres', 'postmaster.pid')
    writeFileSync(file, [stranger.pid, ...lines.slice(1)].join('\n'))
    await giveToServer(file)
    await cluster.start()
    expect([isAlive(stranger.pid), signalled]).toEqual([true, null])
    await cluster.stop()
    expect([isAlive(stranger.pid), signalled]).toEqual([true, null])
    stranger.kill('SIGKILL')
  })
})

describe('a start that was killed', () => {
  /** Starts a database from another process, and kills that one without a word. */
  async function abandoned(folder) {
    const script = `
      import { Cluster } from ${JSON.stringify(inRoot('tools/setup/cluster.mjs'))}
      import { ensurePostgres } from ${JSON.stringify(inRoot('tools/setup/postgres.mjs'))}
      const cluster = new Cluster({ bin: await ensurePostgres(() => {}), home: ${JSON.stringify(folder)}, durable: false })
      await cluster.start()
      console.log('up')
      setInterval(() => {}, 1000)`
    const child = spawn(process.execPath, ['--input-type=module', '-e', script], { cwd: inRoot() })
    await new Promise((up) => child.stdout.once('data', up))
    child.kill('SIGKILL')
  }
  test('leaves a database that is known again, stopped, and opened anew', async () => {
    const folder = aFolder()
    await abandoned(folder)
    const left = postmasterOf(folder)
    expect(isAlive(left)).toBe(true)
    const said = []
    const cluster = await aCluster(folder, said)
    await cluster.start()
    expect([isAlive(left), said.join()]).toEqual([false, expect.stringContaining('former start')])
    await cluster.stop()
  })
  test('the first time, is healed: what it left half made is put aside', async () => {
    const folder = aFolder()
    mkdirSync(path.join(folder, 'postgres.making-1'))
    writeFileSync(path.join(folder, 'postgres.making-1', 'half'), 'made')
    const cluster = await aCluster(folder)
    await cluster.start()
    await cluster.stop()
    const aside = readdirSync(folder).find((name) => name.startsWith('postgres.unfinished'))
    expect(readFileSync(path.join(folder, aside, 'half'), 'utf8')).toBe('made')
  })
})

describe('a folder that is not understood is left alone', () => {
  const untouched = async (folder, message) => {
    const before = contentsOf(folder)
    const cluster = await aCluster(folder)
    await expect(cluster.start()).rejects.toThrow(message)
    expect(contentsOf(folder)).toEqual(before)
  }
  test('half a restore: files, and no PG_VERSION', async () => {
    const folder = aFolder()
    mkdirSync(path.join(folder, 'postgres', 'base'), { recursive: true })
    writeFileSync(path.join(folder, 'postgres', 'base', '1'), 'precious')
    writeFileSync(path.join(folder, 'secrets.json'), '{}')
    await untouched(folder, /is not empty and is no database/)
  })
  test('a database without its secrets', async () => {
    const folder = aFolder()
    mkdirSync(path.join(folder, 'postgres'))
    writeFileSync(path.join(folder, 'postgres', 'PG_VERSION'), '15\n')
    await untouched(folder, /secrets\.json is missing/)
  })
  test.each(['{"ownerPassw', '[]x', '{"ownerPassword": 3}', 'null'])(
    'secrets that are torn: %s',
    async (text) => {
      const folder = aFolder()
      mkdirSync(path.join(folder, 'postgres'))
      writeFileSync(path.join(folder, 'postgres', 'PG_VERSION'), '15\n')
      writeFileSync(path.join(folder, 'secrets.json'), text)
      await untouched(folder, /secrets\.json/)
    },
  )
  test('a database of another PostgreSQL, with the steps to bring it over', async () => {
    const folder = aFolder()
    mkdirSync(path.join(folder, 'postgres'))
    writeFileSync(path.join(folder, 'postgres', 'PG_VERSION'), '9\n')
    const secrets = { adminPassword: 'a', ownerPassword: 'b', appPassword: 'c', sessionSecret: 'd' }
    writeFileSync(path.join(folder, 'secrets.json'), JSON.stringify(secrets))
    const cluster = await aCluster(folder)
    const failed = await cluster.start().catch((error) => error)
    expect(failed.message).toMatch(/was made by PostgreSQL 9; this machine has \d+/)
    expect(failed.advice).toMatch(/npm run backup.*npm run restore/)
    expect(existsSync(path.join(folder, 'postgres', 'postmaster.pid'))).toBe(false)
  })
  test('a file where the folder must be', async () => {
    const folder = aFolder()
    const file = path.join(folder, 'file')
    writeFileSync(file, 'precious')
    const failed = await (await aCluster(file)).start().catch((error) => error)
    expect(failed.advice).toContain('a file stands where a folder must be')
    expect(readFileSync(file, 'utf8')).toBe('precious')
  })
})

test('a database of before, whose owner was a superuser, is brought over with all it holds', async () => {
  const folder = aFolder()
  const secrets = { ownerPassword: 'owner', appPassword: 'app', sessionSecret: 'session' }
  writeFileSync(path.join(folder, 'secrets.json'), JSON.stringify(secrets), { mode: 0o600 })
  const bin = await ensurePostgres(() => {})
  const data = path.join(folder, 'postgres')
  mkdirSync(data, { mode: 0o700 })
  const word = path.join(folder, 'pw')
  writeFileSync(word, 'owner')
  await giveToServer(data)
  await giveToServer(word)
  const args = [
    '-D',
    data,
    '-U',
    'yew_owner',
    '--auth=scram-sha-256',
    `--pwfile=${word}`,
    '--no-sync',
  ]
  await run(path.join(bin, 'initdb'), args, { cwd: '/', user: await serverUser() })
  rmSync(word)
  const cluster = await aCluster(folder)
  await cluster.start()
  const rights = await asked(
    cluster.ownerUrl(),
    "SELECT rolsuper, current_setting('data_checksums') AS sums FROM pg_roles WHERE rolname = current_user",
  )
  expect(rights).toEqual([{ rolsuper: false, sums: 'on' }])
  expect(JSON.parse(readFileSync(path.join(folder, 'secrets.json'), 'utf8'))).toMatchObject(secrets)
  await cluster.stop()
  await cluster.start()
  await cluster.stop()
})
