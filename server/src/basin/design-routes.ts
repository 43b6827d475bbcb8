import { SaveDesign } from '@yew-basin/contract'
import { DESIGN_BODY } from '../http/body-budget.ts'
import { bodyAs, idFrom, ifMatch } from '../http/body.ts'
import { Refusal } from '../http/refusal.ts'
import type { Route } from '../http/routes.ts'
import type { Jobs } from '../job/jobs.ts'
import { DesignService } from './design-service.ts'

/** Designs: read, save, and what they were before. */
export function designRoutes(jobs: Jobs): readonly Route[] {
  const designs = new DesignService(jobs)
  return [
    {
      method: 'get',
      path: '/designs/:id',
      who: 'keeper',
      run: async ({ request, response }, access) => {
        const answer = await designs.open(access, idFrom(request))
        response.set('ETag', `"${answer.revision}"`).json(answer)
      },
    },
    {
      method: 'put',
      path: '/designs/:id',
      most: '400kb',
      budget: DESIGN_BODY,
      who: 'keeper',
      run: async ({ request, response }, access) => {
        const seen = { id: idFrom(request), changed: ifMatch(request) }
        const { design } = bodyAs(SaveDesign, request)
        const answer = await designs.save(access, seen, design)
        response.set('ETag', `"${answer.revision}"`).json(answer)
      },
    },
    {
      method: 'get',
      path: '/designs/:id/revisions/before/:revision',
      who: 'keeper',
      run: async ({ request, response }, access) => {
        const revision = Number(request.params.revision)
        if (!Number.isInteger(revision) || revision < 1 || revision > 2 ** 31 - 1) {
          throw new Refusal('not-found', 'That is no revision.')
        }
        response.json(await designs.before(access, idFrom(request), revision))
      },
    },
  ]
}
