import { existsSync } from 'node:fs'
import { installDebian } from './debian.mjs'
import { StepFailed } from './run.mjs'

/** The browser without its windows: the same engine, and far less work where nothing is shown. */
const SHELL = '/usr/bin/chromium-headless-shell'
const WHOLE = '/usr/bin/chromium'

/** The browser that the browser tests drive: where it is. */
export async function ensureChromium(say) {
  if (existsSync(SHELL)) return SHELL
  try {
    await installDebian('Installing the test browser', ['chromium-headless-shell'], say)
    return SHELL
  } catch (error) {
    if (!(error instanceof StepFailed)) throw error
  }
  // An older Debian packs it with its windows only.
  if (!existsSync(WHOLE)) await installDebian('Installing the test browser', ['chromium'], say)
  return WHOLE
}
