import { StepFailed } from './run.mjs'

/** Where the application listens unless YEW_PORT says otherwise. */
const PORT = 4180
const LEVELS = ['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent']

const refuse = (what, advice) => {
  throw new StepFailed('Reading the settings', what, advice)
}

/** What is set from outside for a start, each checked before anything is touched. */
export function startSettings(env) {
  return {
    port: port(env.YEW_PORT),
    host: host(env.YEW_HOST),
    logLevel: level(env.YEW_LOG_LEVEL),
    dataDir: folder(env.YEW_DATA_DIR),
    durable: env.YEW_THROWAWAY !== '1',
  }
}

function port(text) {
  if (text === undefined || text === '') return PORT
  const number = Number(text)
  if (/^\d+$/.test(text) && number >= 1 && number <= 65535) return number
  return refuse(`YEW_PORT is "${text}"`, 'set it to a port from 1 to 65535, such as 4181.')
}

function host(text) {
  if (text === undefined || text === '') return '127.0.0.1'
  if (/^[\w.:-]+$/.test(text)) return text
  return refuse(`YEW_HOST is "${text}"`, 'set it to an address of this machine, such as 127.0.0.1.')
}

function level(text) {
  if (text === undefined || text === '' || LEVELS.includes(text)) return text || 'warn'
  return refuse(`YEW_LOG_LEVEL is "${text}"`, `set it to one of ${LEVELS.join(', ')}.`)
}

function folder(text) {
  if (text === undefined || text === '') return undefined
  if (!text.includes('\0')) return text
  return refuse('YEW_DATA_DIR is no path', 'set it to a folder.')
}
