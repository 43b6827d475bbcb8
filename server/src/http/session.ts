import connectPgSimple from 'connect-pg-simple'
import type { Request, RequestHandler } from 'express'
import session, { type SessionData } from 'express-session'
import type { Pool } from 'pg'
import { Refusal } from './refusal.ts'

declare module 'express-session' {
  interface SessionData {
    workspaceId: string
  }
}

const DAY_MS = 24 * 3600 * 1000
const HALF_A_YEAR_MS = 182 * DAY_MS
/** What the cookie was called before it carried the port. */
const FORMER_NAME = 'yew.sid'

/** Cookies know hosts but no ports: two copies on one host each have a name of their own. */
export const cookieName = (port: number) => `yew-${port}.sid`

/**
 * A signed HttpOnly cookie that names a session row; the row holds the guest's workspace. It lives on while it is
 * used, which is written down once a day and not at every request.
 */
export function sessions(
  pool: Pool,
  { secret, port }: { readonly secret: string; readonly port: number },
): RequestHandler[] {
  const PgStore = connectPgSimple(session)
  class DailyTouched extends PgStore {
    override touch(sid: string, data: SessionData, done?: () => void): void {
      const left = Number(data.cookie.originalMaxAge ?? 0)
      const stored = this.#expires.get(sid) ?? 0
      if (stored - Date.now() > left - DAY_MS) return done?.()
      this.#remember(sid, Date.now() + left)
      super.touch(sid, data, done)
    }

    /** When a session ends, as this process wrote it last. */
    readonly #expires = new Map<string, number>()

    #remember(sid: string, at: number): void {
      if (this.#expires.size > 20_000) this.#expires.clear()
      this.#expires.set(sid, at)
    }
  }
  const name = cookieName(port)
  return [
    formerCookie(name),
    session({
      name,
      secret,
      resave: false,
      saveUninitialized: false,
      rolling: true,
      cookie: {
        httpOnly: true,
        sameSite: 'lax',
        secure: 'auto',
        maxAge: HALF_A_YEAR_MS,
        path: '/',
      },
      store: new DailyTouched({ pool, tableName: 'session', createTableIfMissing: false }),
    }),
  ]
}

/** A browser that knows only the former name is let in by it, and answered with the present one. */
function formerCookie(name: string): RequestHandler {
  return (request, _response, next) => {
    const { cookie } = request.headers
    if (cookie?.includes(`${FORMER_NAME}=`) && !cookie.includes(`${name}=`)) {
      request.headers.cookie = cookie.replace(`${FORMER_NAME}=`, `${name}=`)
    }
    next()
  }
}

/** The workspace this request may read and write; there is no other way to name one. */
export function workspaceOf(request: Request): string {
  const id = request.session.workspaceId
  if (!id) throw new Refusal('no-session', 'Ask for a workspace first.')
  return id
}

/** A session that opens another workspace from now on; the cookie is a new one. */
export function newSession(request: Request, workspaceId: string): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((error: Error | null | undefined) => {
      if (error) return reject(error)
      request.session.workspaceId = workspaceId
      resolve()
    })
  })
}
