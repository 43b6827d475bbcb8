import { spawn } from 'node:child_process'
import { Application, stopOnSignals } from './setup/application.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot } from './setup/paths.mjs'
import { ensurePostgres } from './setup/postgres.mjs'
import { reporting } from './setup/run.mjs'
import { startSettings } from './setup/settings.mjs'
import { whoRuns } from './setup/start-lock.mjs'

const TSX = ['--import', 'tsx', '--conditions=source']
const WATCHED = ['core', 'contract', 'server'].map((folder) => `--watch-path=${folder}/src`)
/** Where the pages' own server looks for the API. */
const API_PORT = '4181'
const say = (text) => console.log(`· ${text}`)

/** The server restarts and the pages reload as their sources change. */
await reporting(async () => {
  const application = new Application(startSettings({ YEW_PORT: API_PORT, ...process.env }), say)
  stopOnSignals(application, say)
  await ensurePackages(say)
  const bin = await ensurePostgres(say)
  const other = await application.claim()
  if (other) {
    console.log(`${whoRuns(other)}\nStop it first, or set YEW_DATA_DIR to a folder of its own.`)
    return
  }
  try {
    await application.startDatabase(bin)
    await application.prepare([...TSX, inRoot('server/src/db/prepare-main.ts')])
    await application.serve([...WATCHED, ...TSX, inRoot('server/src/main.ts')], {})
  } catch (error) {
    await application.stop()
    throw error
  }
  const vite = inRoot('node_modules/.bin/vite')
  const pages = spawn(vite, [], { cwd: inRoot('web'), stdio: 'inherit' })
  process.once('exit', () => pages.kill('SIGTERM'))
})
