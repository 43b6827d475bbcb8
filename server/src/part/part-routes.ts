import { readPart, type PartsAnswer } from '@yew-basin/contract'
import { Router, type Request } from 'express'
import { idFrom } from '../http/body.ts'
import { Refusal } from '../http/refusal.ts'
import { workspaceOf } from '../http/session.ts'
import type { PartService, SentPart } from './part-service.ts'

function sentPart(request: Request): SentPart {
  const read = readPart(request.body)
  if (read.ok) return read.value
  throw new Refusal('invalid', 'Some fields cannot be as sent.', { faults: read.faults })
}

/** The sample library and the keeper's own parts. */
export function partRoutes(parts: PartService): Router {
  const routes = Router()
  routes.get('/', async (request, response) => {
    const answer: PartsAnswer = { parts: await parts.all(workspaceOf(request)) }
    response.json(answer)
  })
  routes.post('/', async (request, response) => {
    const workspaceId = workspaceOf(request)
    response.status(201).json(await parts.keep(workspaceId, sentPart(request)))
  })
  routes.put('/:id', async (request, response) => {
    const workspaceId = workspaceOf(request)
    response.json(await parts.change(workspaceId, idFrom(request), sentPart(request)))
  })
  routes.delete('/:id', async (request, response) => {
    await parts.remove(workspaceOf(request), idFrom(request))
    response.status(204).end()
  })
  return routes
}
