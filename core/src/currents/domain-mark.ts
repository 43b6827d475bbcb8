import type { Fineness } from './grid.ts'
import type { FlowDomain } from './flow-domain.ts'

/** Counts on whenever what simulates a field changes: fields of before are of another water. 2: walls hold back; 3: it begins with a coarser grid’s water; 4: rocks as they stand; 5: eddies as in a room, cells that fit; 6: a coarser grid’s water has forgotten its rest. */
const ENGINE = 6

/**
 * Tells one domain from another: what a field was run for. Flows of the network are rounded, so
 * that a hair's change far away does not age a field. FNV-1a, twice, over its JSON.
 */
export function domainMark(domain: FlowDomain, fineness: Fineness): string {
  const { ranges, rocks, streams, ...tank } = domain
  void ranges
  const text = JSON.stringify(
    {
      engine: ENGINE,
      tank,
      // What lives on a rock does not turn the water.
      rocks: rocks.map(({ form, xM, yM, zM, lengthM, widthM, heightM }) => [
        form,
        xM,
        yM,
        zM,
        lengthM,
        widthM,
        heightM,
      ]),
      streams: streams.map(({ jet, flowM3PerS, pattern, from }) => ({
        jet,
        flowM3PerS,
        pattern,
        from,
      })),
      fineness,
    },
    (_, value: unknown) => (typeof value === 'number' ? Number(value.toPrecision(4)) : value),
  )
  return [0x811c9dc5, 0x01234567].map((seed) => fnv(text, seed)).join('')
}

function fnv(text: string, seed: number): string {
  let hash = seed
  for (let i = 0; i < text.length; i++)
    hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0
  return hash.toString(16).padStart(8, '0')
}
