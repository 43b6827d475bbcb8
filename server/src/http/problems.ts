import { QUOTAS, type QuotaName } from '@yew-basin/contract'
import type { ErrorRequestHandler, RequestHandler } from 'express'
import { ConnectionError } from 'sequelize'
import { Refusal } from './refusal.ts'

/** Unknown addresses of the API. */
export const noSuchAddress: RequestHandler = (request) => {
  throw new Refusal('not-found', `${request.method} ${request.path} is no address of this API.`)
}

/** Every refusal leaves as problem+json; what is not a refusal is logged and reported as a fault of ours. */
export const answerProblem: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) {
    next(error)
    return
  }
  const refusal = asRefusal(error)
  if (refusal.code === 'server-fault') request.log?.error(error)
  if (refusal.problem.status === 503) response.set('Retry-After', RETRY_AFTER_S)
  response.status(refusal.problem.status).type('application/problem+json')
  response.send(JSON.stringify(refusal.problem))
}

/** The database is started again in about this time. */
const RETRY_AFTER_S = '2'

/** What the driver says when the server is away or going: system errors, and PostgreSQL's classes 08 and 57P. */
const LOST = /^(ECONNREFUSED|ECONNRESET|EPIPE|08\w{3}|57P0\d)$/

/** The driver's own words where it gives no code. */
const LOST_WORDS =
  /connection (terminated|timeout|error and is not queryable)|client (was|has) .*clos/i

function isLostDatabase(error: unknown): boolean {
  const { code, message, cause, parent } = (error ?? {}) as {
    code?: unknown
    message?: unknown
    cause?: unknown
    parent?: unknown
  }
  if (typeof code === 'string' && LOST.test(code)) return true
  return (
    (typeof message === 'string' && LOST_WORDS.test(message)) ||
    (cause !== undefined && isLostDatabase(cause)) ||
    (parent !== undefined && isLostDatabase(parent))
  )
}

/** A quota that the database found used up names itself. */
function quotaOf(error: unknown): QuotaName | null {
  const { parent } = (error ?? {}) as { parent?: { code?: string; message?: string } }
  const name = parent?.code === 'YB001' ? parent.message : undefined
  return name !== undefined && Object.hasOwn(QUOTAS, name) ? (name as QuotaName) : null
}

function overQuota(quota: QuotaName): Refusal {
  const { most, words, way } = QUOTAS[quota]
  const shown = quota === 'bytes' ? `${most / 1e6} MB` : `${most} ${words}`
  return new Refusal('over-quota', `No room: ${shown} is the most a shelf holds. ${way}`, { quota })
}

function asRefusal(error: unknown): Refusal {
  if (error instanceof Refusal) return error
  const quota = quotaOf(error)
  if (quota) return overQuota(quota)
  if (error instanceof ConnectionError || isLostDatabase(error)) {
    return new Refusal(
      'no-database',
      'The database does not answer. Your last saved state is safe; try again.',
    )
  }
  const { type, status } = (error ?? {}) as { type?: string; status?: number }
  if (type === 'entity.too.large')
    return new Refusal('too-large', 'The body is larger than this address takes.')
  if (type === 'entity.parse.failed') {
    return new Refusal('bad-request', 'This is no Yew Basin file, nor anything else in JSON.')
  }
  if (status === 404) return new Refusal('not-found', 'There is no such file.')
  if (status !== undefined && status >= 400 && status < 500) {
    return new Refusal('bad-request', (error as Error).message)
  }
  return new Refusal(
    'server-fault',
    'Nothing was changed. Try again; if it stays, look at the server’s log.',
  )
}
