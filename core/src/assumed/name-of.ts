import type { BasinDesign, EditPath } from '../design/index.ts'

/**
 * A place of a design by names alone: where a path counts along a list, the id of what stands there
 * is named in its stead ("tanks[tank].lengthM"), so that it holds when the list's order changes.
 */
export function nameOf(design: BasinDesign, path: EditPath): string {
  let held: unknown = design
  let name = ''
  for (const key of path) {
    held = (held as Readonly<Record<string | number, unknown>>)[key]
    if (typeof key === 'string') name += name === '' ? key : `.${key}`
    else name += `[${(held as { readonly id?: string }).id ?? key}]`
  }
  return name
}
