import { asPlain, eachOf } from './plain.ts'

/** Format 9 knows valves that follow the flow. Those that were set before stay as they were set. */
export function keptTuned(document: unknown): unknown {
  const plain = asPlain(document)
  return {
    ...plain,
    drains: eachOf(plain.drains, (drain) => ({ ...drain, keepsMatch: false })),
  }
}
