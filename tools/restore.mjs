import { existsSync, readdirSync } from 'node:fs'
import path from 'node:path'
import { Application, stopOnSignals } from './setup/application.mjs'
import { bringBack } from './setup/backup.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { ensurePostgres } from './setup/postgres.mjs'
import { reporting, StepFailed } from './setup/run.mjs'
import { keepSessionSecret } from './setup/secrets.mjs'
import { startSettings } from './setup/settings.mjs'
import { whoRuns } from './setup/start-lock.mjs'
import { putAside, standingDatabase } from './setup/data-folder.mjs'

const say = (text) => console.log(`· ${text}`)

/** A backup into a data folder that holds nothing yet: what stands somewhere is never written over. */
await reporting(async () => {
  const [given, ...more] = process.argv.slice(2)
  if (!given || more.length > 0) {
    throw new StepFailed('Restoring', 'no file is named', 'npm run restore -- FILE')
  }
  const file = path.resolve(process.env.INIT_CWD ?? process.cwd(), given)
  if (!existsSync(file))
    throw new StepFailed('Restoring', `${file} is not there`, 'look at its name.')
  const application = new Application(startSettings(process.env), say)
  stopOnSignals(application, say)
  await ensurePackages(say)
  const bin = await ensurePostgres(say)
  const other = await application.claim({ needsPort: false })
  if (other) throw new StepFailed('Restoring', whoRuns(other), 'stop it first.')
  const { home } = application
  try {
    if (standingDatabase(home) !== null) {
      throw new StepFailed(
        'Restoring',
        `${path.join(home, 'postgres')} holds a database already`,
        `move ${home} away (nothing is written over), or set YEW_DATA_DIR to a new folder. It holds: ${readdirSync(home).join(', ')}`,
      )
    }
    await application.startDatabase(bin)
    try {
      const url = application.cluster.ownerUrl()
      const sessionSecret = await bringBack({ bin, url, file })
      if (sessionSecret) keepSessionSecret(home, sessionSecret)
    } catch (error) {
      await application.stop()
      putAside(home)
      throw error
    }
    console.log(`${file} is back in ${home}. npm start brings it up.`)
  } finally {
    await application.stop()
  }
})
