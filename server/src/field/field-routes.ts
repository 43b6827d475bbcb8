import express, { Router } from 'express'
import { idFrom } from '../http/body.ts'
import { Refusal } from '../http/refusal.ts'
import { workspaceOf } from '../http/session.ts'
import type { FieldService } from './field-service.ts'

/** The finest field is under 2 MB. */
const FIELD_LIMIT = '4mb'
const BYTES = 'application/octet-stream'

/** Fields go as bytes, the one thing here that is no JSON. */
export function fieldRoutes(fields: FieldService): Router {
  const routes = Router()

  routes.get('/:id/:tankId', async (request, response) => {
    const bytes = await fields.read(workspaceOf(request), idFrom(request), request.params.tankId)
    if (bytes) response.type(BYTES).send(bytes)
    else response.status(204).end()
  })
  routes.put(
    '/:id/:tankId',
    express.raw({ type: BYTES, limit: FIELD_LIMIT }),
    async (request, response) => {
      const bytes: unknown = request.body
      if (!Buffer.isBuffer(bytes))
        throw new Refusal('not-bytes', `Send it with Content-Type: ${BYTES}.`)
      const tankId = String(request.params.tankId)
      await fields.keep(workspaceOf(request), idFrom(request), tankId, bytes)
      response.status(204).end()
    },
  )
  return routes
}
