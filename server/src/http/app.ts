import express, { type Express } from 'express'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import type { Pool } from 'pg'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import type { Sequelize } from 'sequelize'
import { basinRoutes } from '../basin/basin-routes.ts'
import { BasinService } from '../basin/basin-service.ts'
import { designRoutes } from '../basin/design-routes.ts'
import { DesignService } from '../basin/design-service.ts'
import { fieldRoutes } from '../field/field-routes.ts'
import { FieldService } from '../field/field-service.ts'
import { partRoutes } from '../part/part-routes.ts'
import { PartService } from '../part/part-service.ts'
import type { Settings } from '../settings.ts'
import { workspaceRoutes } from '../workspace/workspace-routes.ts'
import { jsonOnly } from './body.ts'
import { answerProblem, noSuchAddress } from './problems.ts'
import { atMost, headers, ownOriginOnly } from './security.ts'
import { sessions } from './session.ts'

/** Largest body an address takes: a basin of twenty full designs is about half of it. */
const BODY_LIMIT = '2mb'
const API_LIMIT = { limit: 6000, minutes: 5 }

/** What the application keeps things in. */
export interface Databases {
  readonly sequelize: Sequelize
  readonly sessionPool: Pool
}

/** The whole application on one database. */
export function makeApp(
  settings: Settings,
  { sequelize, sessionPool }: Databases,
  log: Logger,
): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(pinoHttp({ logger: log }))
  app.use(headers)
  app.use('/api', api(settings, sequelize, sessionPool))
  if (settings.webRoot) serveWeb(app, settings.webRoot)
  app.use(answerProblem)
  return app
}

function api(settings: Settings, sequelize: Sequelize, sessionPool: Pool) {
  const routes = express.Router()
  routes.use(atMost(API_LIMIT.limit, API_LIMIT.minutes))
  routes.use(ownOriginOnly)
  routes.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store')
    next()
  })
  const session = sessions(sessionPool, settings.sessionSecret)
  routes.use('/fields', session, fieldRoutes(new FieldService()))
  routes.use(jsonOnly, express.json({ limit: BODY_LIMIT }), session)
  routes.use('/workspace', workspaceRoutes(sequelize))
  const parts = new PartService(sequelize)
  routes.use('/parts', partRoutes(parts))
  routes.use('/basins', basinRoutes(new BasinService(sequelize)))
  routes.use('/designs', designRoutes(new DesignService(sequelize)))
  routes.use(noSuchAddress)
  return routes
}

/** The built pages: names with a hash for ever, the page itself never from a cache. */
function serveWeb(app: Express, webRoot: string): void {
  const page = readFileSync(path.join(webRoot, 'index.html'), 'utf8')
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
