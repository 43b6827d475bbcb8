import type { Route } from '../http/routes.ts'
import { bin } from './bin-service.ts'

/** What was deleted. */
export const binRoutes: readonly Route[] = [
  {
    method: 'get',
    path: '/bin',
    who: 'keeper',
    run: async ({ response }, access) => {
      response.json(await bin.all(access))
    },
  },
  {
    method: 'delete',
    path: '/bin',
    who: 'keeper',
    run: async ({ response }, access) => {
      await bin.empty(access)
      response.status(204).end()
    },
  },
]
