import { MergeShopping } from '@yew-basin/contract'
import { bodyAs, idFrom } from '../http/body.ts'
import type { Route } from '../http/routes.ts'
import { shopping } from './shopping-service.ts'

const LIST = '/basins/:id/shopping'

/** What is had, paid and ticked of a basin's list. */
export const shoppingRoutes: readonly Route[] = [
  {
    method: 'get',
    path: LIST,
    who: 'keeper',
    run: async ({ request, response }, access) => {
      response.json(await shopping.read(access, idFrom(request)))
    },
  },
  {
    method: 'patch',
    path: LIST,
    who: 'keeper',
    most: '200kb',
    run: async ({ request, response }, access) => {
      const { entries } = bodyAs(MergeShopping, request)
      response.json(await shopping.merge(access, idFrom(request), entries))
    },
  },
]
