import { Application, stopOnSignals } from './setup/application.mjs'
import { ensureBuilt } from './setup/build.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot } from './setup/paths.mjs'
import { ensurePostgres } from './setup/postgres.mjs'
import { reporting } from './setup/run.mjs'
import { startSettings } from './setup/settings.mjs'
import { whoRuns } from './setup/start-lock.mjs'

const say = (text) => console.log(`· ${text}`)

await reporting(async () => {
  const application = new Application(startSettings(process.env), say)
  stopOnSignals(application, say)
  await ensurePackages(say)
  const bin = await ensurePostgres(say)
  const other = await application.claim()
  if (other) {
    console.log(whoRuns(other))
    return
  }
  try {
    await ensureBuilt(say)
    say('Starting the database')
    await application.startDatabase(bin)
    await application.prepare([inRoot('server', 'dist', 'prepare-main.js')])
    const address = await application.serve([inRoot('server', 'dist', 'main.js')], {
      NODE_ENV: 'production',
      YEW_WEB_ROOT: inRoot('web', 'dist'),
    })
    application.backUpNightly()
    console.log(`\nYew Basin is at ${address}\nCtrl-C stops it; what you made is kept.`)
  } catch (error) {
    await application.stop()
    throw error
  }
})
