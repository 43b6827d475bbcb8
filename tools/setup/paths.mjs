import path from 'node:path'
import { fileURLToPath } from 'node:url'

/** Root of this checkout. */
export const ROOT = fileURLToPath(new URL('../../', import.meta.url)).replace(/\/$/, '')

export const inRoot = (...parts) => path.join(ROOT, ...parts)
