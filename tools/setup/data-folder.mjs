import {
  accessSync,
  chmodSync,
  constants,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
} from 'node:fs'
import path from 'node:path'
import { asStepFailed, StepFailed } from './run.mjs'
import { giveToServer, reachable } from './server-user.mjs'

const isRoot = () => process.getuid?.() === 0

/** The folder that everything is kept in: in the checkout where PostgreSQL's user can reach it. */
export async function homeFor(checkout, chosen = process.env.YEW_DATA_DIR) {
  if (chosen) return path.resolve(chosen)
  const inside = path.join(checkout, '.yew-basin')
  if (!isRoot()) return inside
  mkdirSync(inside, { recursive: true })
  if (await reachable(inside)) return inside
  return path.join('/var/lib/yew-basin', checkout.replace(/[^\w]+/g, '-'))
}

/** Node calls a folder that cannot be made on a disk that can only be read “not found”: what its parent says. */
function reasonOf(home, error) {
  if (error.code !== 'ENOENT') return error
  let parent = path.dirname(home)
  while (!existsSync(parent)) parent = path.dirname(parent)
  try {
    accessSync(parent, constants.W_OK)
    return error
  } catch (reason) {
    return reason
  }
}

/** Makes the folder where it is missing; what it holds is left as it is. */
export function makeHome(home) {
  try {
    mkdirSync(home, { recursive: true, mode: 0o755 })
    if (isRoot()) chmodSync(home, 0o755)
    readdirSync(home)
  } catch (error) {
    throw asStepFailed(`Making the data folder ${home}`, reasonOf(home, error))
  }
}

/** Where in a data folder the database's own files are. */
export const databaseFolder = (home) => path.join(home, 'postgres')

/**
 * What stands where the database is kept: nothing yet, or a database and the PostgreSQL version it was made by.
 * A folder with anything else in it is not ours to touch.
 */
export function standingDatabase(home) {
  const data = databaseFolder(home)
  const names = existsSync(data) ? readdirSync(data) : []
  const version = path.join(data, 'PG_VERSION')
  if (names.length === 0) return null
  if (existsSync(version)) return { version: readFileSync(version, 'utf8').trim() }
  throw new StepFailed(
    'Opening the database',
    `${data} is not empty and is no database (it has no PG_VERSION)`,
    'if it is half of a copy, finish copying it; else move it away and start again. Nothing in it was touched.',
  )
}

/** A database that did not become whole is kept beside, out of the way of the next try. */
export function putAside(home) {
  renameSync(databaseFolder(home), path.join(home, `postgres.unfinished-${Date.now()}`))
}

/**
 * An empty folder to make a database in, which takes its place only when it is whole. What an interrupted first
 * start left is put aside, never deleted.
 */
export async function makingFolder(home) {
  for (const name of readdirSync(home)) {
    if (name.startsWith('postgres.making'))
      renameSync(path.join(home, name), path.join(home, name.replace('making', 'unfinished')))
  }
  // A name of its own: what an interrupted start left running finds nothing of ours to write into.
  const making = path.join(home, `postgres.making-${Date.now()}-${process.pid}`)
  mkdirSync(making, { mode: 0o700 })
  await giveToServer(making)
  chmodSync(making, 0o700)
  if (await reachable(making)) return making
  throw new StepFailed(
    'Making the data folder',
    `the postgres user cannot reach ${making}`,
    'set YEW_DATA_DIR to a folder whose parents everyone may enter, such as /var/lib/yew-basin.',
  )
}
