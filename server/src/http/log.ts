import { pino, type Logger } from 'pino'

/** The one log of the server: a line of JSON each. What signs a guest in is never in it. */
export function logAt(level: string): Logger {
  return pino({ level, redact: ['req.headers.cookie', 'res.headers["set-cookie"]'] })
}
