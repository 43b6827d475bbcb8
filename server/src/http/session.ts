import connectPgSimple from 'connect-pg-simple'
import type { Request, RequestHandler } from 'express'
import session from 'express-session'
import type { Pool } from 'pg'
import { Refusal } from './refusal.ts'

declare module 'express-session' {
  interface SessionData {
    workspaceId: string
  }
}

const HALF_A_YEAR_MS = 182 * 24 * 3600 * 1000

/** A signed HttpOnly cookie that names a session row; the row holds the guest's workspace. */
export function sessions(pool: Pool, secret: string): RequestHandler {
  const PgStore = connectPgSimple(session)
  return session({
    name: 'yew.sid',
    secret,
    resave: false,
    saveUninitialized: false,
    rolling: true,
    cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', maxAge: HALF_A_YEAR_MS, path: '/' },
    store: new PgStore({ pool, tableName: 'session', createTableIfMissing: false }),
  })
}

/** The workspace this request may read and write; there is no other way to name one. */
export function workspaceOf(request: Request): string {
  const id = request.session.workspaceId
  if (!id) throw new Refusal('no-session', 'Ask for a workspace first.')
  return id
}
