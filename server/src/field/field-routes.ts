import type { Request } from 'express'
import { idFrom } from '../http/body.ts'
import { Refusal } from '../http/refusal.ts'
import { BYTES, type Route } from '../http/routes.ts'
import { fields, type FieldPlace } from './field-service.ts'

/** The finest field is under 2 MB. */
const LARGEST_BYTES = 4_000_000

const placeOf = (request: Request): FieldPlace => ({
  designId: idFrom(request),
  tankId: String(request.params.tankId),
})

/** Fields go as bytes, the one thing here that is no JSON. */
export const fieldRoutes: readonly Route[] = [
  {
    method: 'get',
    path: '/fields/:id/:tankId',
    who: 'keeper',
    run: async ({ request, response }, access) => {
      const bytes = await fields.read(access, placeOf(request))
      if (bytes) response.type(BYTES).send(bytes)
      else response.status(204).end()
    },
  },
  {
    method: 'put',
    path: '/fields/:id/:tankId',
    bytes: LARGEST_BYTES,
    who: 'keeper',
    run: async ({ request, response }, access) => {
      const bytes: unknown = request.body
      if (!Buffer.isBuffer(bytes))
        throw new Refusal('not-bytes', `Send it with Content-Type: ${BYTES}.`)
      await fields.keep(access, placeOf(request), bytes)
      response.status(204).end()
    },
  },
]
