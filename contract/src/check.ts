import 'reflect-metadata'
import { plainToInstance } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'

/** One thing wrong, and where. */
export interface Fault {
  /** "designs[0].design.tank.lengthM"; empty for the whole. */
  readonly path: string
  readonly message: string
}

/** A value that is as it must be, or every fault of it. */
export type Checked<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly faults: readonly Fault[] }

/** More faults than this help nobody. */
const MOST_FAULTS = 100
/** Deeper than any document of ours; deeper ones are refused before they are walked. */
const DEEPEST = 20

/** Holds plain data against a contract class: every fault, with its path, or the data as that class. */
export function check<T extends object>(type: new () => T, plain: unknown): Checked<T> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain)) {
    return { ok: false, faults: [{ path: '', message: 'must be an object' }] }
  }
  const shape = shapeFault(plain)
  if (shape) return { ok: false, faults: [shape] }
  const value = plainToInstance(type, plain)
  const errors = validateSync(value, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: true,
  })
  if (errors.length === 0) return { ok: true, value }
  return {
    ok: false,
    faults: errors.flatMap((error) => flattened(error, '')).slice(0, MOST_FAULTS),
  }
}

function flattened(error: ValidationError, parent: string): Fault[] {
  const path = joined(parent, error.property)
  const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
    path,
    message: wording(rule, message),
  }))
  return [...own, ...(error.children ?? []).flatMap((child) => flattened(child, path))]
}

function wording(rule: string, message: string): string {
  if (rule === 'whitelistValidation') return 'is not a property of this format'
  if (rule === 'nestedValidation' || rule === 'unknownValue')
    return 'must be an object, or a list of objects'
  return message
}

function joined(parent: string, property: string): string {
  if (/^\d+$/.test(property)) return `${parent}[${property}]`
  return parent === '' ? property : `${parent}.${property}`
}

/** What class-transformer cannot be handed: null or plain values in a list of objects, and bottomless nesting. */
function shapeFault(plain: unknown, path = '', depth = 0): Fault | null {
  if (depth > DEEPEST) return { path, message: 'is nested too deep' }
  if (typeof plain !== 'object' || plain === null) return null
  for (const [key, inner] of Object.entries(plain)) {
    const at = joined(path, key)
    if (
      Array.isArray(plain) &&
      (typeof inner !== 'object' || inner === null || Array.isArray(inner))
    ) {
      return { path: at, message: 'must be an object' }
    }
    const fault = shapeFault(inner, at, depth + 1)
    if (fault) return fault
  }
  return null
}
