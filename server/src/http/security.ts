import type { RequestHandler } from 'express'
import { rateLimit, type RateLimitRequestHandler } from 'express-rate-limit'
import helmet from 'helmet'
import { Refusal } from './refusal.ts'

/** Everything comes from here: no other host for scripts, styles, fonts, pictures or requests. */
export const headers: RequestHandler = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      'default-src': ["'self'"],
      // The inner loops of the currents are WebAssembly; no text is ever run as a script.
      'script-src': ["'self'", "'wasm-unsafe-eval'"],
      'style-src': ["'self'"],
      'img-src': ["'self'", 'data:', 'blob:'],
      'font-src': ["'self'"],
      'connect-src': ["'self'"],
      'worker-src': ["'self'"],
      'object-src': ["'none'"],
      'base-uri': ["'none'"],
      'form-action': ["'self'"],
      'frame-ancestors': ["'none'"],
    },
  },
  // Served over plain HTTP on loopback: there is nothing to upgrade to.
  strictTransportSecurity: false,
})

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS'])

/** What changes something must come from our own pages. */
export const ownOriginOnly: RequestHandler = (request, _response, next) => {
  if (!SAFE.has(request.method)) {
    const { origin, host } = request.headers
    const foreign = origin !== undefined && hostOf(origin) !== host
    if (foreign || request.headers['sec-fetch-site'] === 'cross-site') {
      throw new Refusal('foreign-origin', 'Open Yew Basin itself and try again.')
    }
  }
  next()
}

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null
}

/** At most so many requests a minute from one address. */
export function atMost(limit: number, minutes: number): RateLimitRequestHandler {
  return rateLimit({
    windowMs: minutes * 60_000,
    limit,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_request, _response, next) =>
      next(new Refusal('too-many', `No more than ${limit} in ${minutes} min from one address.`)),
  })
}
