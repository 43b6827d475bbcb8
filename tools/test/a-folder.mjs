import { chmodSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { Cluster } from '../setup/cluster.mjs'
import { ensurePostgres } from '../setup/postgres.mjs'

const made = []
const clusters = []

/** A folder of the test's own that PostgreSQL's user can reach. */
export function aFolder() {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'yew-start-'))
  chmodSync(folder, 0o755)
  made.push(folder)
  return folder
}

/** A throwaway cluster in a folder, stopped when the tests end. */
export async function aCluster(home, said = []) {
  const bin = await ensurePostgres(() => {})
  const cluster = new Cluster({ bin, home, durable: false, say: (text) => said.push(text) })
  clusters.push(cluster)
  return cluster
}

/** Whatever the tests started or made. */
export async function cleared() {
  for (const cluster of clusters.splice(0)) await cluster.stop()
  for (const folder of made.splice(0)) rmSync(folder, { recursive: true, force: true })
}

/** Every file of a folder with what is in it: what must be as it was. */
export function contentsOf(folder) {
  return Object.fromEntries(
    readdirSync(folder, { recursive: true })
      .sort((a, b) => a.localeCompare(b))
      .map((name) => [name, path.join(folder, name)])
      .map(([name, file]) => [name, statSync(file).isFile() ? readFileSync(file, 'utf8') : null]),
  )
}
