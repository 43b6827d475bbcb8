import { chownSync } from 'node:fs'
import { run, StepFailed } from './run.mjs'

const isRoot = () => process.getuid?.() === 0
let found = null

/**
 * Whom PostgreSQL's programs run as: the system's postgres user where we are root, since they refuse root; else
 * ourselves. As options for a command.
 */
export async function serverUser() {
  if (!isRoot()) return {}
  found ??= await postgresUser()
  return found
}

/** Hands a file or folder to whom PostgreSQL runs as. */
export async function giveToServer(file) {
  const { uid, gid } = await serverUser()
  if (uid !== undefined) chownSync(file, uid, gid)
}

/** May PostgreSQL's user enter a folder? */
export async function reachable(folder) {
  const asked = await run('test', ['-x', folder], { cwd: '/', user: await serverUser() })
  return asked.code === 0
}

async function postgresUser() {
  const id = async (flag) => Number((await run('id', [flag, 'postgres'])).stdout)
  const [uid, gid] = [await id('-u'), await id('-g')]
  if (uid) return { uid, gid }
  throw new StepFailed(
    'Finding the postgres user',
    'this machine has none',
    'install Debian’s postgresql package, or run as a plain user.',
  )
}
