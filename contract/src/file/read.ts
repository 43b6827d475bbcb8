import { budgetFault } from '../check/budget.ts'
import { checkWithinBudget } from '../check/check.ts'
import type { Checked, Fault } from '../check/fault.ts'
import { FILE_FORMAT, FORMAT_VERSION } from '../versions/format.ts'
import { eachOf } from '../versions/plain.ts'
import { migrated } from '../versions/migrations.ts'
import { BasinFile } from './basin-file.ts'

/** A basin file from its text: every fault in it, or the file in the present format. */
export function readBasinFile(text: string): Checked<BasinFile> {
  let plain: unknown
  try {
    plain = JSON.parse(text)
  } catch (error) {
    return refused('', `is not JSON: ${(error as Error).message}`)
  }
  return readBasinObject(plain)
}

/** The same from parsed JSON. */
export function readBasinObject(plain: unknown): Checked<BasinFile> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain)) {
    return refused('', 'must be one JSON object, as Yew Basin exports it')
  }
  const { format, formatVersion } = plain as Record<string, unknown>
  if (format !== FILE_FORMAT) {
    return refused('format', `must be "${FILE_FORMAT}": this is no exported basin`)
  }
  const fault = versionFault(formatVersion) ?? budgetFault(plain)
  return fault
    ? { ok: false, faults: [fault] }
    : checkWithinBudget(BasinFile, broughtUp(plain, formatVersion as number))
}

function versionFault(version: unknown): Fault | null {
  const path = 'formatVersion'
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return { path, message: `must be a whole number from 1 to ${FORMAT_VERSION}` }
  }
  return version > FORMAT_VERSION
    ? {
        path,
        message: `is ${version}, from a newer Yew Basin; this one reads up to ${FORMAT_VERSION}`,
      }
    : null
}

function broughtUp(plain: object, fromVersion: number): object {
  const { designs } = plain as { designs?: unknown }
  if (fromVersion === FORMAT_VERSION || !Array.isArray(designs)) return plain
  return {
    ...plain,
    formatVersion: FORMAT_VERSION,
    designs: eachOf(designs, (design) => ({
      ...design,
      design: migrated(design.design, fromVersion),
    })),
  }
}

function refused(path: string, message: string): Checked<never> {
  return { ok: false, faults: [{ path, message }] }
}
