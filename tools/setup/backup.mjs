import { chmodSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs'
import path from 'node:path'
import { must } from './run.mjs'

/** Nights kept; the eighth oldest makes room. */
const KEPT = 7
const NAME = /^yew-basin-\d{4}-\d\d-\d\d\.dump$/
/** How often it is looked whether a night's copy is due. */
const LOOK_MS = 3_600_000

/**
 * Writes all that is kept into one file, as it stood at one moment; the file is there whole or not at all. The secret
 * that browsers' cookies are signed with goes along: without it nobody's shelf would open where it is restored.
 */
export async function backUp({ bin, url, file, sessionSecret }) {
  await asOwner(url, async (client) => {
    await client.query('CREATE TABLE IF NOT EXISTS installation (session_secret text NOT NULL)')
    await client.query('DELETE FROM installation')
    await client.query('INSERT INTO installation VALUES ($1)', [sessionSecret])
  })
  const next = `${file}.next`
  const advice = 'make room, or choose another place for the file; the database was only read.'
  // The queue's own tables hold nothing that is a keeper's; they are made anew.
  const args = ['--format=custom', '--compress=6', '--exclude-schema=pgboss', `--file=${next}`, url]
  try {
    await must({ step: 'Backing up', advice }, path.join(bin, 'pg_dump'), args)
    chmodSync(next, 0o600)
    renameSync(next, file)
  } finally {
    rmSync(next, { force: true })
  }
}

/** Puts what a backup holds into an empty database. Gives the secret that cookies were signed with; null: it has none. */
export async function bringBack({ bin, url, file }) {
  const advice =
    'the file is no backup of Yew Basin, or is torn; nothing that was there before was touched.'
  const args = [
    '--exit-on-error',
    '--single-transaction',
    '--no-owner',
    '--no-privileges',
    `--dbname=${url}`,
    file,
  ]
  await must({ step: 'Restoring', advice }, path.join(bin, 'pg_restore'), args)
  return asOwner(url, async (client) => {
    const { rows } = await client.query('SELECT session_secret FROM installation')
    return rows[0]?.session_secret ?? null
  })
}

async function asOwner(connectionString, act) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString })
  client.on('error', () => {})
  await client.connect()
  try {
    return await act(client)
  } finally {
    await client.end()
  }
}

/** A copy each night in the data folder's own `backups`, seven of them kept. Gives what ends it. */
export function backUpNightly({ home, say, now = () => new Date(), ...database }) {
  const folder = path.join(home, 'backups')
  let running = Promise.resolve()
  const look = () => {
    running = running
      .then(() => backUpWhenDue({ ...database, folder, now: now() }))
      .catch((error) => say(`The nightly backup was not made: ${error.message}`))
  }
  look()
  const timer = setInterval(look, LOOK_MS)
  return () => {
    clearInterval(timer)
    return running
  }
}

/** Makes the day's copy where there is none, and lets the oldest go. */
export async function backUpWhenDue({ folder, now, ...database }) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const file = path.join(folder, `yew-basin-${now.toISOString().slice(0, 10)}.dump`)
  if (!existsSync(file)) await backUp({ ...database, file })
  const nights = readdirSync(folder)
    .filter((name) => NAME.test(name))
    .sort((a, b) => a.localeCompare(b))
  for (const name of nights.slice(0, -KEPT)) rmSync(path.join(folder, name))
}
