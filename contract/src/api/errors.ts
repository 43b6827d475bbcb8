import type { QuotaName } from './quotas.ts'

/** Every way a request can be refused: its code, HTTP status and what it means. */
export const ERRORS = {
  'bad-request': { status: 400, title: 'The request could not be read' },
  'no-session': { status: 401, title: 'This browser has no workspace yet' },
  'foreign-origin': { status: 403, title: 'The request came from another site' },
  'not-found': { status: 404, title: 'There is no such thing in your workspace' },
  'over-quota': { status: 409, title: 'Your shelf has no room for it' },
  'revision-moved': { status: 412, title: 'It was saved elsewhere first' },
  'too-large': { status: 413, title: 'The request is too large' },
  'not-bytes': { status: 415, title: 'The request must be bytes' },
  'not-json': { status: 415, title: 'The request must be JSON' },
  invalid: { status: 422, title: 'Some of what was sent cannot be' },
  'revision-missing': { status: 428, title: 'A save must say which revision it changes' },
  'too-many': { status: 429, title: 'Too many requests; wait a little' },
  'server-fault': { status: 500, title: 'Something went wrong on the server' },
  'no-database': { status: 503, title: 'The database does not answer' },
} as const satisfies Readonly<Record<string, { status: number; title: string }>>

/** A code of the catalogue. */
export type ErrorCode = keyof typeof ERRORS

/** Body of every refused request (application/problem+json, RFC 9457). */
export interface Problem {
  readonly type: string
  readonly code: ErrorCode
  readonly title: string
  readonly status: number
  readonly detail: string
  /** Field by field, where fields are at fault. */
  readonly faults?: readonly { readonly path: string; readonly message: string }[]
  /** For revision-moved: what is stored now. */
  readonly current?: unknown
  /** For over-quota: which. */
  readonly quota?: QuotaName
}
