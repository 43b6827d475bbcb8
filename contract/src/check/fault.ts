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

/** More faults than this help nobody, and finding them takes everyone's time. */
const MOST_FAULTS = 100

/** What was found so far; full, nothing more is looked at. */
export class Findings {
  readonly faults: Fault[] = []

  get full(): boolean {
    return this.faults.length >= MOST_FAULTS
  }

  add(path: string, message: string): void {
    if (!this.full) this.faults.push({ path, message })
  }
}

/** Name of a property of what stands at a path; what somebody sent as a name is shown shortened. */
export function pathAt(parent: string, property: string): string {
  const name = property.length > 80 ? `${property.slice(0, 80)}…` : property
  return parent === '' ? name : `${parent}.${name}`
}
