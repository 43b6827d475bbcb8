import { SaveDesign } from '@yew-basin/contract'
import { Router } from 'express'
import { bodyAs, idFrom, ifMatch } from '../http/body.ts'
import { Refusal } from '../http/refusal.ts'
import { workspaceOf } from '../http/session.ts'
import type { DesignService } from './design-service.ts'

/** `/api/designs`: read, save, and what it was before. */
export function designRoutes(designs: DesignService): Router {
  const routes = Router()

  routes.get('/:id', async (request, response) => {
    const answer = await designs.open(workspaceOf(request), idFrom(request))
    response.set('ETag', `"${answer.revision}"`).json(answer)
  })
  routes.put('/:id', async (request, response) => {
    const workspaceId = workspaceOf(request)
    const id = idFrom(request)
    const changed = ifMatch(request)
    const { design } = bodyAs(SaveDesign, request)
    const answer = await designs.save(workspaceId, id, changed, design)
    response.set('ETag', `"${answer.revision}"`).json(answer)
  })
  routes.get('/:id/revisions/before/:revision', async (request, response) => {
    const revision = Number(request.params.revision)
    if (!Number.isInteger(revision) || revision < 1 || revision > 2 ** 31 - 1) {
      throw new Refusal('not-found', 'That is no revision.')
    }
    response.json(await designs.before(workspaceOf(request), idFrom(request), revision))
  })
  return routes
}
