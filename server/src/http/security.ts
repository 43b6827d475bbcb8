import type { RequestHandler } from 'express'
import { ipKeyGenerator, rateLimit, type RateLimitRequestHandler } from 'express-rate-limit'
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

/** How many requests in how long. */
export interface RateLimit {
  readonly limit: number
  readonly minutes: number
}

/** At most so many requests from one address, whoever they are. */
export function atMostFromAddress(rate: RateLimit): RateLimitRequestHandler {
  return rateLimit({ ...common(rate), ...refusing(rate, 'from one address') })
}

/** At most so many requests of one keeper; without a session, of one address. */
export function atMostFromKeeper(rate: RateLimit): RateLimitRequestHandler {
  return rateLimit({
    ...common(rate),
    keyGenerator: ({ session, ip }) => session?.workspaceId ?? ipKeyGenerator(ip ?? ''),
    ...refusing(rate, 'from one keeper'),
  })
}

const common = ({ limit, minutes }: RateLimit) => ({
  windowMs: minutes * 60_000,
  limit,
  standardHeaders: 'draft-8' as const,
  legacyHeaders: false,
})

const refusing = ({ limit, minutes }: RateLimit, who: string) => ({
  handler: ((_request, _response, next) =>
    next(
      new Refusal('too-many', `No more than ${limit} in ${minutes} min ${who}.`),
    )) as RequestHandler,
})
