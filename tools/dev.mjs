import { spawn } from 'node:child_process'
import { APP_ROLE, Cluster, homeFor } from './setup/cluster.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot, ROOT } from './setup/paths.mjs'
import { freePort } from './setup/ports.mjs'
import { ensurePostgres } from './setup/postgres.mjs'
import { must, reporting } from './setup/run.mjs'

const TSX = ['--import', 'tsx', '--conditions=source']
const children = []
let cluster = null

async function stop() {
  for (const child of children) child.kill('SIGTERM')
  await cluster?.stop()
  process.exit(0)
}
process.on('SIGINT', () => void stop())
process.on('SIGTERM', () => void stop())

/** The server restarts and the pages reload as their sources change. */
await reporting(async () => {
  const say = (text) => console.log(`· ${text}`)
  await ensurePackages(say)
  const bin = await ensurePostgres(say)
  cluster = new Cluster({ bin, home: await homeFor(ROOT) })
  await cluster.start()
  await must(
    { step: 'Bringing the database up to date', advice: 'read the error above.' },
    process.execPath,
    [...TSX, inRoot('server/src/db/prepare-main.ts')],
    { env: { YEW_OWNER_URL: cluster.ownerUrl(), YEW_APP_ROLE: APP_ROLE } },
  )
  const api = await freePort(4181)
  const env = {
    ...process.env,
    YEW_DATABASE_URL: cluster.appUrl(),
    YEW_SESSION_SECRET: cluster.secrets.sessionSecret,
    YEW_PORT: String(api),
  }
  children.push(
    spawn(
      process.execPath,
      [
        '--watch-path=core/src',
        '--watch-path=contract/src',
        '--watch-path=server/src',
        ...TSX,
        inRoot('server/src/main.ts'),
      ],
      { cwd: ROOT, stdio: 'inherit', env },
    ),
    spawn(inRoot('node_modules/.bin/vite'), [], { cwd: inRoot('web'), stdio: 'inherit', env }),
  )
})
