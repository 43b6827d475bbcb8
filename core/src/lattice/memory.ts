/** What stands where in a lattice's memory, bytes. */
export interface MemoryPlan {
  /** Of one slot: a float for each cell and what lies between slots. */
  readonly slotBytes: number
  readonly populations: number
  readonly mask: number
  readonly taus: number
  readonly moments: number
  readonly kept: number
  /** Where room for sources begins. */
  readonly sources: number
}

/** Memory comes in such pages. */
export const PAGE_BYTES = 65536
/** Below this the kernel keeps what is its own. */
const FIRST_BYTE = 4096
/** Slots that start at the same place of a page fall into the same lines of a cache. */
const SPREAD_BYTES = 192
const CACHE_PAGE_BYTES = 4096

/** Slots of the D3Q19 lattice, one for each direction. */
export const POPULATIONS = 19
/** Slots of the moments: density and the three of momentum. */
export const MOMENTS = 4
/** Slots of the sums that are kept for means and peaks. */
export const KEPT = 6

/** Places for a lattice of so many cells; a row before and after each slot may be read, never used. */
export function planMemory(cells: number, rowCells: number): MemoryPlan {
  const edge = Math.max(64, rowCells * 4)
  const needed = cells * 4 + 2 * edge
  const slotBytes = Math.ceil(needed / CACHE_PAGE_BYTES) * CACHE_PAGE_BYTES + SPREAD_BYTES
  const populations = FIRST_BYTE + edge
  const mask = populations + POPULATIONS * slotBytes
  const taus = mask + slotBytes
  const moments = taus + slotBytes
  const kept = moments + MOMENTS * slotBytes
  const sources = kept + KEPT * slotBytes
  return { slotBytes, populations, mask, taus, moments, kept, sources }
}

/** Pages of WebAssembly memory that hold so many bytes. */
export function pagesFor(bytes: number): number {
  return Math.ceil(bytes / PAGE_BYTES)
}
