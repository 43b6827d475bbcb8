import path from 'node:path'
import { Application, stopOnSignals } from './setup/application.mjs'
import { backUp } from './setup/backup.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { ensurePostgres } from './setup/postgres.mjs'
import { reporting, StepFailed } from './setup/run.mjs'
import { startSettings } from './setup/settings.mjs'
import { standingDatabase } from './setup/data-folder.mjs'
import { runningUrl } from './setup/running-url.mjs'
import { secretsOf } from './setup/secrets.mjs'

const say = (text) => console.log(`· ${text}`)

/** All that is kept, in one file: of what is running, or of what stands still. */
await reporting(async () => {
  const [given, ...more] = process.argv.slice(2)
  if (!given || more.length > 0) {
    throw new StepFailed('Backing up', 'no file is named', 'npm run backup -- FILE')
  }
  const file = path.resolve(process.env.INIT_CWD ?? process.cwd(), given)
  const application = new Application(startSettings(process.env), say)
  stopOnSignals(application, say)
  await ensurePackages(say)
  const bin = await ensurePostgres(say)
  const other = await application.claim({ needsPort: false })
  try {
    if (standingDatabase(application.home) === null) {
      throw new StepFailed(
        'Backing up',
        `${application.home} holds no database`,
        'set YEW_DATA_DIR.',
      )
    }
    const url = other
      ? runningUrl(application.home)
      : (await application.startDatabase(bin), application.cluster.ownerUrl())
    const { sessionSecret } = secretsOf(application.home, { hasDatabase: true })
    await backUp({ bin, url, file, sessionSecret })
    console.log(`All that is kept is in ${file}`)
  } finally {
    await application.stop()
  }
})
