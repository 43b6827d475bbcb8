import {
  closeSync,
  existsSync,
  fsyncSync,
  openSync,
  readFileSync,
  renameSync,
  writeSync,
} from 'node:fs'
import { StepFailed } from './run.mjs'

/** Writes a small file of ours so that it is there whole or as it was: never torn. */
export function writeState(file, value, mode = 0o644) {
  const next = `${file}.next`
  const handle = openSync(next, 'w', mode)
  try {
    writeSync(handle, JSON.stringify(value))
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
  renameSync(next, file)
}

/** What such a file holds; null where there is none; `undefined` where it cannot be understood. */
export function readState(file) {
  if (!existsSync(file)) return null
  try {
    const value = JSON.parse(readFileSync(file, 'utf8'))
    return typeof value === 'object' && value !== null ? value : undefined
  } catch (error) {
    if (error instanceof SyntaxError) return undefined
    throw error
  }
}

/** The same, for a file that the application cannot do without. */
export function readNeededState(file, advice) {
  const value = readState(file)
  if (value !== undefined) return value
  throw new StepFailed('Reading the data folder', `${file} is torn or is no JSON`, advice)
}
