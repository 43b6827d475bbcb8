import { existsSync, readdirSync } from 'node:fs'
import path from 'node:path'
import { installDebian } from './debian.mjs'
import { run, StepFailed } from './run.mjs'

const DEBIAN_HOME = '/usr/lib/postgresql'

/** Folder that holds initdb and pg_ctl; null when there is no server on this machine. */
async function serverFolder() {
  const versions = existsSync(DEBIAN_HOME) ? readdirSync(DEBIAN_HOME) : []
  const newest = versions
    .sort((a, b) => Number(b) - Number(a))
    .map((version) => path.join(DEBIAN_HOME, version, 'bin'))
    .find((folder) => existsSync(path.join(folder, 'initdb')))
  if (newest) return newest
  const { code, stdout } = await run('pg_config', ['--bindir'])
  const folder = stdout.trim()
  return code === 0 && existsSync(path.join(folder, 'initdb')) ? folder : null
}

/** PostgreSQL's programs, installed first where they are missing. */
export async function ensurePostgres(say) {
  const found = await serverFolder()
  if (found) return found
  await installDebian('Installing PostgreSQL', ['postgresql'], say)
  const folder = await serverFolder()
  if (!folder) throw new Error('PostgreSQL was installed but its initdb cannot be found')
  return folder
}

/** The programs that open a database of this version: a newer PostgreSQL does not read an older one's files. */
export async function programsOf(version, bin, data) {
  const { stdout } = await run(path.join(bin, 'postgres'), ['--version'])
  const here = /(\d+)/.exec(stdout)?.[1]
  if (here === version) return bin
  const other = path.join(DEBIAN_HOME, version, 'bin')
  if (existsSync(path.join(other, 'postgres'))) return other
  throw new StepFailed(
    'Opening the database',
    `${data} was made by PostgreSQL ${version}; this machine has ${here}`,
    `install postgresql-${version} and start again; or, on a machine that has it, run: npm run backup -- FILE, ` +
      `then here, with YEW_DATA_DIR set to a new folder: npm run restore -- FILE. Nothing in the folder was touched.`,
  )
}
