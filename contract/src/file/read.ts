import { budgetFault } from '../check/budget.ts'
import { check, checkWithinBudget } from '../check/check.ts'
import type { Checked, Fault } from '../check/fault.ts'
import { COUNTS } from '../design/limits.ts'
import { FILE_FORMAT, FORMAT_VERSION } from '../versions/format.ts'
import { eachOf } from '../versions/plain.ts'
import { migrated } from '../versions/migrations.ts'
import { BasinFile, FileDesign } from './basin-file.ts'

/** A basin file from its text: every fault in it, or the file in the present format. */
export function readBasinFile(text: string): Checked<BasinFile> {
  let plain: unknown
  try {
    plain = JSON.parse(text)
  } catch {
    return refused('', 'is no Yew Basin file: it is not JSON')
  }
  return readBasinObject(plain)
}

/** The same from parsed JSON. */
export function readBasinObject(plain: unknown): Checked<BasinFile> {
  const file = ofKnownVersion(plain)
  return file.ok
    ? checkWithinBudget(BasinFile, broughtUp(file.value, file.value.formatVersion))
    : file
}

/**
 * The same one design at a time, with a turn for whoever waits after each: a file of many designs
 * takes longer than a server may hold its others.
 */
export async function readBasinInTurns(
  plain: unknown,
  turn: () => Promise<void>,
): Promise<Checked<BasinFile>> {
  const file = ofKnownVersion(plain)
  if (!file.ok) return file
  const { formatVersion, designs } = file.value
  if (!Array.isArray(designs) || designs.length > COUNTS.designs) return readBasinObject(plain)
  const outside = headOf(file.value, designs)
  const faults = outside.ok ? [] : outside.faults.filter(({ path }) => !path.startsWith('designs['))
  const read: FileDesign[] = []
  for (const [i, design] of designs.entries()) {
    const { designs: one } = broughtUp({ designs: [design] }, formatVersion) as {
      designs: [object]
    }
    const checked = oneDesign(one[0], i)
    if (checked.ok) read.push(checked.value)
    else faults.push(...checked.faults)
    await turn()
  }
  if (faults.length > 0) return { ok: false, faults }
  const value = Object.assign(new BasinFile(), file.value, { formatVersion: FORMAT_VERSION })
  value.designs = read
  return { ok: true, value }
}

/** What stands outside the designs, with what they come to together. */
function headOf(file: object, designs: readonly unknown[]): Checked<BasinFile> {
  const light = designs.map((design) => ({ current: (design as FileDesign | null)?.current }))
  return checkWithinBudget(BasinFile, { ...file, formatVersion: FORMAT_VERSION, designs: light })
}

function oneDesign(design: unknown, index: number): Checked<FileDesign> {
  const checked = check(FileDesign, design)
  if (checked.ok) return checked
  const at = (path: string) => (path === '' ? `designs[${index}]` : `designs[${index}].${path}`)
  return {
    ok: false,
    faults: checked.faults.map(({ path, message }) => ({ path: at(path), message })),
  }
}

/** A file by its first words: this format, in a version that can be read, within the budget. */
function ofKnownVersion(
  plain: unknown,
): Checked<{ readonly formatVersion: number; readonly designs?: unknown }> {
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
    : { ok: true, value: plain as { readonly formatVersion: number } }
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
