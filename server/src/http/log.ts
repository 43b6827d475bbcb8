import { pino, type Logger, type LoggerOptions } from 'pino'

/** As much of an error's words as tells what it is: a driver quotes what was sent. */
const MOST_WORDS = 300

/** What an error quotes is what was sent. */
const withoutQuotes = (words: string) => words.replace(/"[^"]*("|$)/g, '"…"')

/** An error without what it carries: statements and their values are what keepers wrote. */
function errorShown(error: Error & { code?: string; parent?: { code?: string } }): object {
  const [, ...frames] = (error.stack ?? '').split('\n    at ')
  return {
    type: error.name,
    code: error.code ?? error.parent?.code,
    message: withoutQuotes(String(error.message)).slice(0, MOST_WORDS),
    at: frames.slice(0, 12),
  }
}

/** The one log of the server: a line of JSON each. What signs a guest in is never in it, nor what keepers wrote. */
export function logAt(level: string): Logger {
  return pino(LOG_OPTIONS(level))
}

/** How it writes, wherever to. */
export const LOG_OPTIONS = (level: string): LoggerOptions => ({
  level,
  redact: ['req.headers.cookie', 'res.headers["set-cookie"]'],
  serializers: { err: errorShown },
  hooks: {
    // An error without words of ours would have its own for them.
    logMethod(given, write) {
      const [first, ...more] = given
      const bare = first instanceof Error && more.length === 0
      write.apply(this, bare ? [first, 'a fault of ours'] : given)
    },
  },
})
