import { randomBytes } from 'node:crypto'
import {
  existsSync,
  readFileSync,
  readlinkSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import path from 'node:path'
import { StepFailed } from './run.mjs'
import { giveToServer } from './server-user.mjs'

/** What `postmaster.pid` says: the process and port of whoever wrote it, here or where the folder was copied from. */
function written(data) {
  const file = path.join(data, 'postmaster.pid')
  if (!existsSync(file)) return null
  const [pid, , , port] = readFileSync(file, 'utf8').split('\n')
  return { pid: Number(pid), port: Number(port) }
}

function isAlive(pid) {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return error.code === 'EPERM'
  }
}

/** Does a process work in this very folder? A database's processes do, and never in another's. */
function worksIn(pid, folder) {
  try {
    const [there, here] = [statSync(readlinkSync(`/proc/${pid}/cwd`)), statSync(folder)]
    return there.dev === here.dev && there.ino === here.ino
  } catch (error) {
    const tells = existsSync('/proc/self/cwd')
    if (tells && (error.code === 'ENOENT' || error.code === 'ESRCH')) return false
    throw new StepFailed(
      'Opening the database',
      `${folder}/postmaster.pid names process ${pid}, which is another user’s: nothing tells whether it runs on this folder`,
      'start as the user who started it before, or, when that process has nothing to do with it, move postmaster.pid away.',
    )
  }
}

/** A word written into the folder now, read back by the database that claims it: proof that it runs on this one. */
async function answersFrom(data, urls) {
  const nonce = randomBytes(16).toString('hex')
  const file = path.join(data, `nonce-${nonce}`)
  writeFileSync(file, nonce, { mode: 0o600 })
  await giveToServer(file)
  try {
    for (const url of urls) if ((await wordIn(path.basename(file), url)) === nonce) return true
    return false
  } finally {
    rmSync(file, { force: true })
  }
}

async function wordIn(name, connectionString) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString, connectionTimeoutMillis: 5000 })
  client.on('error', () => {})
  try {
    await client.connect()
    const { rows } = await client.query('SELECT pg_read_file($1) AS word', [name])
    return rows[0].word
  } catch {
    return null
  } finally {
    await client.end().catch(() => {})
  }
}

/** Waits until a process is gone. */
export async function gone(pid, withinMs) {
  for (const end = Date.now() + withinMs; isAlive(pid);) {
    if (Date.now() > end) return false
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
  return true
}

/**
 * Before a database is started: one left running on this folder by a start that was killed is stopped, once it has
 * proven that it is ours. A `postmaster.pid` that came along with a copy, or names a process that is somebody
 * else's by now, is put aside; that process is not signalled.
 */
export async function settleFormer(data, urlsAt, say) {
  const former = written(data)
  if (!former || !isAlive(former.pid)) return
  if (!worksIn(former.pid, data)) {
    renameSync(
      path.join(data, 'postmaster.pid'),
      path.join(data, `postmaster.pid.of-another-${Date.now()}`),
    )
    return
  }
  if (!(await answersFrom(data, urlsAt(former.port)))) {
    throw new StepFailed(
      'Opening the database',
      `process ${former.pid} runs a database on this folder and does not answer`,
      `wait a little and start again; if it stays, stop it by hand: kill -INT ${former.pid}`,
    )
  }
  say('Stopping the database that a former start left running')
  process.kill(former.pid, 'SIGINT')
  if (await gone(former.pid, 60_000)) return
  throw new StepFailed(
    'Stopping the former database',
    `process ${former.pid} goes on`,
    'wait a little and start again.',
  )
}
