import { existsSync } from 'node:fs'
import { installDebian } from './debian.mjs'

export const CHROMIUM = '/usr/bin/chromium'

/** The browser that the browser tests drive. */
export async function ensureChromium(say) {
  if (!existsSync(CHROMIUM)) await installDebian('Installing the test browser', ['chromium'], say)
}
