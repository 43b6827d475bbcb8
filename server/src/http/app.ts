import compression from 'compression'
import express, { type Express } from 'express'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import type { Pool } from 'pg'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import { Access } from '../db/access.ts'
import type { Settings } from '../settings.ts'
import { allRoutes, type Services } from './all-routes.ts'
import { answerProblem, noSuchAddress } from './problems.ts'
import { mounted } from './routes.ts'
import { atMostFromAddress, atMostFromKeeper, headers, ownOriginOnly } from './security.ts'
import { sessions, workspaceOf } from './session.ts'

/** Requests in five minutes: of one keeper, and of all behind one address together. */
const KEEPER_LIMIT = { limit: 6000, minutes: 5 }
const ADDRESS_LIMIT = { limit: 120_000, minutes: 5 }

/** What the application works with. */
export interface Databases extends Services {
  readonly sessionPool: Pool
}

/** The whole application on one database. */
export function makeApp(settings: Settings, databases: Databases, log: Logger): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(pinoHttp({ logger: log }))
  app.use(headers)
  app.use('/api', api(settings, databases))
  if (settings.webRoot) serveWeb(app, settings.webRoot)
  app.use(answerProblem)
  return app
}

function api(
  { sessionSecret: secret, port }: Settings,
  { sequelize, sessionPool, jobs }: Databases,
) {
  const routes = express.Router()
  routes.use(atMostFromAddress(ADDRESS_LIMIT))
  routes.use(ownOriginOnly)
  routes.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store')
    next()
  })
  routes.use(...sessions(sessionPool, { secret, port }))
  routes.use(atMostFromKeeper(KEEPER_LIMIT))
  routes.use(
    mounted(
      allRoutes({ sequelize, jobs }),
      (request) => new Access(sequelize, workspaceOf(request)),
    ),
  )
  routes.use(noSuchAddress)
  return routes
}

/** The built pages: names with a hash for ever, the page itself never from a cache. */
function serveWeb(app: Express, webRoot: string): void {
  const page = readFileSync(path.join(webRoot, 'index.html'), 'utf8')
  app.use(compression())
  app.use(
    '/assets',
    express.static(path.join(webRoot, 'assets'), {
      immutable: true,
      maxAge: '1y',
      fallthrough: false,
    }),
  )
  app.use(express.static(webRoot, { index: false }))
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').type('html').send(page)
  })
}
