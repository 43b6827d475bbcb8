import { basinRoutes } from '../basin/basin-routes.ts'
import { designRoutes } from '../basin/design-routes.ts'
import { binRoutes } from '../bin/bin-routes.ts'
import { fieldRoutes } from '../field/field-routes.ts'
import { historyRoutes } from '../history/history-routes.ts'
import type { Jobs } from '../job/jobs.ts'
import { partRoutes } from '../part/part-routes.ts'
import { shoppingRoutes } from '../shopping/shopping-routes.ts'
import { recoveryRoutes } from '../workspace/recovery-routes.ts'
import { workspaceRoutes } from '../workspace/workspace-routes.ts'
import type { Sequelize } from 'sequelize'
import type { Route } from './routes.ts'

/** What the handlers work with. */
export interface Services {
  readonly sequelize: Sequelize
  readonly jobs: Jobs
}

/** Every address of the API, under `/api`. */
export function allRoutes({ sequelize, jobs }: Services): readonly Route[] {
  return [
    ...workspaceRoutes(sequelize),
    ...recoveryRoutes(sequelize),
    ...basinRoutes(jobs),
    ...designRoutes(jobs),
    ...partRoutes,
    ...fieldRoutes,
    ...shoppingRoutes,
    ...binRoutes,
    ...historyRoutes,
  ]
}
