import { readPart } from '@yew-basin/contract'
import type { Request } from 'express'
import { idFrom, ifMatch } from '../http/body.ts'
import { Refusal } from '../http/refusal.ts'
import type { Route } from '../http/routes.ts'
import { parts, type SentPart } from './part-service.ts'

function sentPart(request: Request): SentPart {
  const read = readPart(request.body)
  if (read.ok) return read.value
  throw new Refusal('invalid', 'Some fields cannot be as sent.', { faults: read.faults })
}

const seen = (request: Request) => ({ id: idFrom(request), changed: ifMatch(request) })

/** The sample library and the keeper's own parts. */
export const partRoutes: readonly Route[] = [
  {
    method: 'get',
    path: '/parts',
    who: 'keeper',
    run: async ({ response }, access) => {
      response.json({ parts: await parts.all(access) })
    },
  },
  {
    method: 'post',
    path: '/parts',
    most: '200kb',
    who: 'keeper',
    run: async ({ request, response }, access) => {
      response.status(201).json(await parts.keep(access, sentPart(request)))
    },
  },
  {
    method: 'put',
    path: '/parts/:id',
    most: '200kb',
    who: 'keeper',
    run: async ({ request, response }, access) => {
      const part = seen(request)
      response.json(await parts.change(access, part, sentPart(request)))
    },
  },
  {
    method: 'delete',
    path: '/parts/:id',
    who: 'keeper',
    run: async ({ request, response }, access) => {
      await parts.remove(access, seen(request))
      response.status(204).end()
    },
  },
  {
    method: 'post',
    path: '/parts/:id/restore',
    who: 'keeper',
    run: async ({ request, response }, access) => {
      response.json(await parts.restore(access, idFrom(request)))
    },
  },
]
