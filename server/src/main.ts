import type { AddressInfo } from 'node:net'
import pg from 'pg'
import { connect } from './db/connect.ts'
import { makeApp } from './http/app.ts'
import { logAt } from './http/log.ts'
import { settingsFrom } from './settings.ts'
import { sweepDaily } from './workspace/sweep-guests.ts'

const settings = settingsFrom(process.env)
const log = logAt(settings.logLevel)
const sequelize = connect(settings.databaseUrl)
const sessionPool = new pg.Pool({ connectionString: settings.databaseUrl, max: 5 })
// A pool without a listener ends the process when the database drops an idle connection.
sessionPool.on('error', (error) => log.error(error, 'session store'))

const stopSweeping = sweepDaily(sequelize, (error) => log.error(error, 'sweeping guests'))
const server = makeApp(settings, { sequelize, sessionPool }, log).listen(
  settings.port,
  settings.host,
)

server.on('listening', () => {
  const { address, port } = server.address() as AddressInfo
  // Started by hand it says where it is; started by npm start, that says so.
  if (process.send) process.send({ listening: port })
  else log.info(`listening http://${address}:${port}`)
})
server.on('error', (error) => {
  log.fatal(error, `cannot listen on ${settings.host}:${settings.port}`)
  process.exit(1)
})

let stopping = false
async function stop(): Promise<void> {
  if (stopping) return
  stopping = true
  stopSweeping()
  server.closeAllConnections()
  await new Promise((closed) => server.close(closed))
  await Promise.all([sequelize.close(), sessionPool.end()])
  process.exit(0)
}
// Whoever started this is gone: do not stay behind holding the port.
process.on('disconnect', () => void stop())
process.on('SIGTERM', () => void stop())
process.on('SIGINT', () => void stop())
