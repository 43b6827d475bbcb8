/** A space that holds water: a tank, an overflow box or a side of it, a chamber. Straight-sided. */
export interface RestSpace {
  readonly areaM2: number
  /** As it runs, above one common zero, m. */
  readonly levelM: number
}

/** What parts two spaces: water stands even above its crest, whichever side it comes from. */
export interface RestWall {
  readonly between: readonly [number, number]
  readonly crestM: number
}

/** A drain takes what stands above its inlet. */
export interface RestDrain {
  readonly from: number
  readonly to: number
  readonly inletM: number
  /** What stands in its pipe and falls, m³. */
  readonly fallsM3: number
}

/** Where the plumbing opens into a space, under water or in air above it. */
export interface RestMouth {
  readonly space: number
  readonly levelM: number
  /** null: it has none. */
  readonly breakHoleM: number | null
}

/** A stretch of the plumbing between two nodes: the mouths, then the tees. */
export interface RestWay {
  readonly from: number
  readonly to: number
  /** Open both ways, from its start to its end only, or shut. */
  readonly passes: 'both' | 'onward' | 'none'
}

/** A way that water may take from a node, and the node it leads to. */
export interface WayOn {
  readonly way: number
  readonly to: number
}

/** The open ways of a plumbing, whatever its levels. */
export interface OpenWays {
  readonly wayCount: number
  /** Of every node: the ways that lead away from it. */
  readonly away: readonly (readonly WayOn[])[]
  /** Of every mouth: the mouths that open ways lead to, past tees. */
  readonly reached: readonly (readonly number[])[]
}

/** Water that comes down by itself: hung equipment that stops. */
export interface RestGift {
  readonly to: number
  readonly fallsM3: number
}

/** All that moves water when nothing drives it any more. */
export interface RestCase {
  readonly spaces: readonly RestSpace[]
  readonly walls: readonly RestWall[]
  readonly drains: readonly RestDrain[]
  readonly mouths: readonly RestMouth[]
  /** The open ways between them. */
  readonly ways: OpenWays
  /** What stands in each way and may fall, m³. */
  readonly wayFallsM3: readonly number[]
  readonly gifts: readonly RestGift[]
}

/** Where a mouth lets air in: its break hole, else itself. */
export function airAtM({ breakHoleM, levelM }: RestMouth): number {
  return breakHoleM === null ? levelM : Math.max(breakHoleM, levelM)
}
