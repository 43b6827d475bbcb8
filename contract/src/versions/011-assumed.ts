import { asPlain } from './plain.ts'

/** Format 11 knows which figures are assumed. What an older document holds counts as given. */
export function assumedFigures(document: unknown): unknown {
  return { ...asPlain(document), assumed: [] }
}
