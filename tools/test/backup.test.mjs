import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import pg from 'pg'
import { inRoot } from '../setup/paths.mjs'
import { run } from '../setup/run.mjs'
import { backUpWhenDue } from '../setup/backup.mjs'
import { ensurePostgres } from '../setup/postgres.mjs'
import { aCluster, aFolder, cleared } from './a-folder.mjs'

let home
let file
const env = (folder) => ({ YEW_DATA_DIR: folder, YEW_THROWAWAY: '1' })
const tool = (name, folder, ...words) =>
  run(process.execPath, [inRoot('tools', `${name}.mjs`), ...words], { env: env(folder) })

async function asked(url, sql) {
  const client = new pg.Client({ connectionString: url })
  client.on('error', () => {})
  await client.connect()
  try {
    return (await client.query(sql)).rows
  } finally {
    await client.end()
  }
}

beforeAll(async () => {
  home = aFolder()
  file = path.join(aFolder(), 'all.dump')
  const cluster = await aCluster(home)
  await cluster.start()
  await asked(cluster.ownerUrl(), "CREATE TABLE mine AS SELECT 'kept' AS word")
  await cluster.stop()
})
afterAll(cleared)

test('what stands still is backed up, and comes back in another folder', async () => {
  const made = await tool('backup', home, file)
  expect([made.code, made.output]).toEqual([0, expect.stringContaining(file)])
  const other = aFolder()
  const restored = await tool('restore', other, file)
  expect([restored.code, restored.output]).toEqual([0, expect.stringContaining('is back in')])
  const secretOf = (folder) =>
    JSON.parse(readFileSync(path.join(folder, 'secrets.json'), 'utf8')).sessionSecret
  expect(secretOf(other)).toBe(secretOf(home))
  const cluster = await aCluster(other)
  await cluster.start()
  expect(await asked(cluster.ownerUrl(), 'SELECT word FROM mine')).toEqual([{ word: 'kept' }])
  await cluster.stop()
}, 120_000)

test('nothing is written over, and a file that is no backup leaves nothing behind', async () => {
  const again = await tool('restore', home, file)
  expect([again.code, again.output]).toEqual([
    1,
    expect.stringContaining('holds a database already'),
  ])
  const torn = path.join(path.dirname(file), 'torn.dump')
  writeFileSync(torn, readFileSync(file).subarray(0, 200))
  const fresh = aFolder()
  const refused = await tool('restore', fresh, torn)
  expect([refused.code, refused.output]).toEqual([
    1,
    expect.stringContaining('no backup of Yew Basin'),
  ])
  // The next try finds room.
  expect((await tool('restore', fresh, file)).code).toBe(0)
  expect((await tool('restore', fresh, path.join(fresh, 'none'))).output).toContain('is not there')
  expect((await tool('backup', aFolder(), file)).output).toContain('holds no database')
  expect((await tool('backup', home)).output).toContain('npm run backup -- FILE')
}, 120_000)

test('a night’s copy is made once a day, and seven are kept', async () => {
  const bin = await ensurePostgres(() => {})
  const cluster = await aCluster(home)
  await cluster.start()
  const folder = path.join(aFolder(), 'backups')
  const given = { bin, url: cluster.ownerUrl(), folder, sessionSecret: 'secret' }
  for (let day = 1; day <= 9; day++)
    await backUpWhenDue({ ...given, now: new Date(Date.UTC(2026, 0, day, 12)) })
  const kept = readdirSync(folder)
  expect(kept).toHaveLength(7)
  expect(kept[0]).toBe('yew-basin-2026-01-03.dump')
  writeFileSync(path.join(folder, 'yew-basin-2026-01-09.dump'), 'today’s')
  await backUpWhenDue({ ...given, now: new Date(Date.UTC(2026, 0, 9, 18)) })
  expect(readFileSync(path.join(folder, 'yew-basin-2026-01-09.dump'), 'utf8')).toBe('today’s')
  // What runs is backed up as well: its own start holds the folder.
  expect(existsSync(path.join(folder, 'yew-basin-2026-01-09.dump.next'))).toBe(false)
  await cluster.stop()
}, 120_000)
