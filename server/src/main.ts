import type { AddressInfo } from 'node:net'
import path from 'node:path'
import pg from 'pg'
import { connect } from './db/connect.ts'
import { makeApp } from './http/app.ts'
import { logAt } from './http/log.ts'
import { FiguresThread } from './job/figures-thread.ts'
import { Queue } from './job/queue.ts'
import { settingsFrom } from './settings.ts'

/** Requests under way have this long to be answered. */
const ANSWER_WITHIN_MS = 8000

const settings = settingsFrom(process.env)
const log = logAt(settings.logLevel)
const tell = (what: string) => (error: Error) => log.error(error, what)
const sequelize = connect(settings.databaseUrl)
const sessionPool = new pg.Pool({
  connectionString: settings.databaseUrl,
  max: 6,
  connectionTimeoutMillis: 2000,
  statement_timeout: 20_000,
})
// A pool without a listener ends the process when the database drops an idle connection.
sessionPool.on('error', tell('session store'))
// Beside this file, in a build and from sources alike.
const thread = new FiguresThread(
  new URL(`figures-main${path.extname(import.meta.url)}`, import.meta.url),
)
const jobs = new Queue(
  settings.databaseUrl,
  sequelize,
  (design) => thread.figuresOf(design),
  tell('queue'),
)

const server = makeApp(settings, { sequelize, sessionPool, jobs }, log).listen(
  settings.port,
  settings.host,
)

server.on('listening', () => {
  const { address, port } = server.address() as AddressInfo
  // Started by hand it says where it is; started by npm start, that says so.
  if (process.send) process.send({ listening: port })
  else log.info(`listening http://${address}:${port}`)
  void jobs.start().catch(tell('starting the queue'))
})
server.on('error', (error) => {
  log.fatal(error, `cannot listen on ${settings.host}:${settings.port}`)
  process.exit(1)
})

let stopping = false
async function stop(): Promise<void> {
  if (stopping) return
  stopping = true
  const answered = new Promise((closed) => server.close(closed))
  const hard = setTimeout(() => server.closeAllConnections(), ANSWER_WITHIN_MS)
  await answered
  clearTimeout(hard)
  await jobs.stop().catch(tell('stopping the queue'))
  await thread.end()
  await Promise.allSettled([sequelize.close(), sessionPool.end()])
  process.exit(0)
}
// Whoever started this is gone: do not stay behind holding the port.
process.on('disconnect', () => void stop())
process.on('SIGTERM', () => void stop())
process.on('SIGINT', () => void stop())
