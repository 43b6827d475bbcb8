import { spawn } from 'node:child_process'
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { ensureBuilt } from './setup/build.mjs'
import { APP_ROLE, Cluster, homeFor } from './setup/cluster.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot, ROOT } from './setup/paths.mjs'
import { freePort } from './setup/ports.mjs'
import { ensurePostgres } from './setup/postgres.mjs'
import { must, StepFailed, reporting } from './setup/run.mjs'

/** Where the application likes to listen. */
const WANTED_PORT = 4180
const say = (text) => console.log(`· ${text}`)

let cluster = null
let server = null
let runningFile = null
let stopping = null

/** Everything down, in the order that loses nothing. */
function stop(code) {
  stopping ??= (async () => {
    if (server && server.exitCode === null && server.signalCode === null) {
      const ended = new Promise((resolve) => server.once('exit', resolve))
      server.kill('SIGTERM')
      const hard = setTimeout(() => server.kill('SIGKILL'), 8000)
      await ended
      clearTimeout(hard)
    }
    await cluster?.stop()
    if (runningFile) rmSync(runningFile, { force: true })
    process.exit(code)
  })()
  return stopping
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
  process.on(signal, () => {
    if (!stopping) console.log('\n· Stopping')
    void stop(0)
  })
}

/** Address of a start that is still running on this data, or null. */
function alreadyRunning() {
  if (!existsSync(runningFile)) return null
  const { pid, address } = JSON.parse(readFileSync(runningFile, 'utf8'))
  try {
    process.kill(pid, 0)
    const command = `/proc/${pid}/cmdline`
    const ours = !existsSync(command) || readFileSync(command, 'utf8').includes('start.mjs')
    return ours && pid !== process.pid ? address : null
  } catch {
    return null
  }
}

function serve(port) {
  server = spawn(process.execPath, [inRoot('server', 'dist', 'main.js')], {
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      YEW_DATABASE_URL: cluster.appUrl(),
      YEW_SESSION_SECRET: cluster.secrets.sessionSecret,
      YEW_PORT: String(port),
      YEW_WEB_ROOT: inRoot('web', 'dist'),
    },
  })
  return new Promise((resolve, reject) => {
    server.once('message', (message) => resolve(message.listening))
    server.once('exit', (exitCode, signal) => {
      const code = exitCode ?? signal
      reject(
        new StepFailed(
          'Starting the server',
          `it ended with ${code}`,
          'read what it printed above.',
        ),
      )
      if (!stopping) {
        console.error(`The server ended with ${code}.`)
        void stop(1)
      }
    })
  })
}

await reporting(async () => {
  await ensurePackages(say)
  const bin = await ensurePostgres(say)
  const home = await homeFor(ROOT)
  runningFile = path.join(home, 'running.json')
  const running = alreadyRunning()
  if (running) {
    runningFile = null
    console.log(`Yew Basin already runs at ${running}`)
    return
  }
  await ensureBuilt(say)
  say('Starting the database')
  cluster = new Cluster({ bin, home, durable: process.env.YEW_THROWAWAY !== '1' })
  await cluster.start()
  try {
    await must(
      {
        step: 'Bringing the database up to date',
        advice: 'read the error above; your data is as it was.',
      },
      process.execPath,
      [inRoot('server', 'dist', 'prepare-main.js')],
      { env: { YEW_OWNER_URL: cluster.ownerUrl(), YEW_APP_ROLE: APP_ROLE } },
    )
    const port = await serve(await freePort(Number(process.env.YEW_PORT ?? WANTED_PORT)))
    const address = `http://127.0.0.1:${port}`
    writeFileSync(runningFile, JSON.stringify({ pid: process.pid, address }))
    console.log(`\nYew Basin is at ${address}\nCtrl-C stops it; what you made is kept.`)
  } catch (error) {
    await cluster.stop()
    throw error
  }
})
