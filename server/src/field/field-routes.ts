import type { Request } from 'express'
import { idFrom } from '../http/body.ts'
import { Refusal } from '../http/refusal.ts'
import type { Access } from '../db/access.ts'
import { BYTES, type Exchange, type Route } from '../http/routes.ts'
import { fields, type FieldPlace } from './field-service.ts'

/** The finest field is under 2 MB. */
const LARGEST_BYTES = 4_000_000

const placeOf = (request: Request): FieldPlace => ({
  designId: idFrom(request),
  tankId: String(request.params.tankId),
  name: request.params.name === undefined ? '' : String(request.params.name),
})

async function read({ request, response }: Exchange, access: Access): Promise<void> {
  const bytes = await fields.read(access, placeOf(request))
  if (bytes) response.type(BYTES).send(bytes)
  else response.status(204).end()
}

async function keep({ request, response }: Exchange, access: Access): Promise<void> {
  const bytes: unknown = request.body
  if (!Buffer.isBuffer(bytes))
    throw new Refusal('not-bytes', `Send it with Content-Type: ${BYTES}.`)
  await fields.keep(access, placeOf(request), bytes)
  response.status(204).end()
}

const LAST = '/fields/:id/:tankId'
const KEPT = '/fields/:id/:tankId/kept'
const NAMED = '/fields/:id/:tankId/kept/:name'

/** Fields go as bytes, the one thing here that is no JSON. */
export const fieldRoutes: readonly Route[] = [
  { method: 'get', path: LAST, who: 'keeper', run: read },
  { method: 'put', path: LAST, bytes: LARGEST_BYTES, who: 'keeper', run: keep },
  {
    method: 'get',
    path: KEPT,
    who: 'keeper',
    run: async ({ request, response }, access) => {
      response.json(await fields.kept(access, placeOf(request)))
    },
  },
  { method: 'get', path: NAMED, who: 'keeper', run: read },
  { method: 'put', path: NAMED, bytes: LARGEST_BYTES, who: 'keeper', run: keep },
  {
    method: 'delete',
    path: NAMED,
    who: 'keeper',
    run: async ({ request, response }, access) => {
      await fields.drop(access, placeOf(request))
      response.status(204).end()
    },
  },
]
