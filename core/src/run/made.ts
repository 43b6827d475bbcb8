import type { PipeSize } from '../pipe/index.ts'

/**
 * How one end of a thing is joined. glued: a solvent socket. threaded: tight before anything near it is glued. union: undone by
 * hand. barb: hose over a barb, with a clamp. push-fit: dry, pulled apart by hand. gasket: through a panel, held by a nut.
 * spigot: as wide as pipe, glued straight into the socket beside it (a street elbow).
 */
export type EndKind = 'glued' | 'threaded' | 'union' | 'barb' | 'push-fit' | 'gasket' | 'spigot'

/** A piece as it is bought and joined, as far as the keeper said so; what he did not say is as usual, and assumed. */
export interface PieceMade {
  /** Of the library or the keeper's own; null: none in particular. */
  readonly partId: string | null
  /** Its end that the water comes in by; null: as usual for such a piece. */
  readonly before: EndKind | null
  /** Its end that the water leaves by; null: as usual. */
  readonly after: EndKind | null
  /** A valve with a union on both sides. */
  readonly isTrueUnion: boolean
  /** Size of a tee's third leg; null: as its run. */
  readonly branch: PipeSize | null
  /** Held to the stand or the wall: it can't move while building. */
  readonly isClipped: boolean
}

/** Nothing said. */
export const AS_USUAL: PieceMade = {
  partId: null,
  before: null,
  after: null,
  isTrueUnion: false,
  branch: null,
  isClipped: false,
}
