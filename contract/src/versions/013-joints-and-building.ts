import { asPlain } from './plain.ts'

/**
 * Format 13 knows how pieces are bought and joined, and what was said of building. Of an older design nothing was
 * said: its joints are the usual ones of their pieces, and assumed.
 */
export function jointsAndBuilding(document: unknown): unknown {
  return { ...asPlain(document), build: null }
}
