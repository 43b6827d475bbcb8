import { check } from '@yew-basin/contract'
import type { Request, RequestHandler } from 'express'
import { Refusal } from './refusal.ts'

/** The body as a contract class, or a refusal that names each field. */
export function bodyAs<T extends object>(type: new () => T, request: Request): T {
  const checked = check(type, request.body)
  if (checked.ok) return checked.value
  throw new Refusal('invalid', 'Some fields cannot be as sent.', { faults: checked.faults })
}

/** Requests that change something carry JSON or nothing. */
export const jsonOnly: RequestHandler = (request, _response, next) => {
  const length = Number(request.headers['content-length'] ?? 0)
  const carries = length > 0 || request.headers['transfer-encoding'] !== undefined
  if (carries && !request.is('application/json')) {
    throw new Refusal('not-json', 'Send it with Content-Type: application/json.')
  }
  next()
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i

/** An id from the address; what is no id names nothing. */
export function idFrom(request: Request): string {
  const { id } = request.params
  if (typeof id === 'string' && UUID.test(id)) return id
  throw new Refusal('not-found', 'That is no id.')
}

/** The revision a save says it changes. */
export function ifMatch(request: Request): number {
  const header = request.headers['if-match']
  const match = /^"?(\d{1,9})"?$/.exec(header ?? '')
  if (match) return Number(match[1])
  throw new Refusal('revision-missing', 'Send the revision you changed in If-Match, such as "7".')
}
