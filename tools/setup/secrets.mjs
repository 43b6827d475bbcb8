import { randomBytes } from 'node:crypto'
import path from 'node:path'
import { StepFailed } from './run.mjs'
import { readNeededState, writeState } from './state-file.mjs'

const NAMES = ['adminPassword', 'ownerPassword', 'appPassword', 'sessionSecret']
const secret = () => randomBytes(24).toString('hex')

/** The secret of cookies that were signed before, in place of the one made here. */
export function keepSessionSecret(home, sessionSecret) {
  const file = path.join(home, 'secrets.json')
  writeState(file, { ...readNeededState(file, 'start again.'), sessionSecret }, 0o600)
}

/**
 * Passwords and the session secret of a data folder; made when the folder has no database yet. A database without
 * them cannot be opened, so they are never made anew beside one.
 */
export function secretsOf(home, { hasDatabase }) {
  const file = path.join(home, 'secrets.json')
  const advice =
    'it holds the passwords of the database beside it: put it back from a copy of the folder; nothing else was touched.'
  const found = readNeededState(file, advice)
  if (!found && hasDatabase) {
    throw new StepFailed('Reading the data folder', `${file} is missing`, advice)
  }
  const there = found ?? {}
  const torn = NAMES.slice(1).some((name) => found && typeof there[name] !== 'string')
  if (torn) throw new StepFailed('Reading the data folder', `${file} lacks passwords`, advice)
  const whole = Object.fromEntries(NAMES.map((name) => [name, there[name] ?? secret()]))
  if (NAMES.some((name) => there[name] !== whole[name])) writeState(file, whole, 0o600)
  return whole
}
