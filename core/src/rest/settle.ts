/** Water runs from one space to another until the first is down at `stopM`, or both stand level. */
export interface Passing {
  readonly from: number
  readonly to: number
  readonly stopM: number
  /** The same way is open from the other side, from `stopM` up as well: level spaces then move as one. */
  readonly joins: boolean
}

/** A round that moves no level further than this is the last, m. */
const STILL_M = 1e-11
/** Far more rounds than any design takes. */
const MOST_ROUNDS = 4000

/**
 * Runs in turn, each to its own rest, until none moves any more; moves the levels. Spaces that came to
 * stand level move as one from then on, until they are down at what parts them: without that, a
 * row of chambers would settle by halves.
 */
export function settle(
  spaces: readonly { readonly areaM2: number }[],
  levelsM: number[],
  runs: readonly Passing[],
): void {
  const pools = new Pools(spaces, levelsM)
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let movedM = 0
    for (const run of runs) movedM = Math.max(movedM, pools.run(run))
    if (movedM < STILL_M) break
  }
  for (let s = 0; s < levelsM.length; s++) levelsM[s] = pools.levelOf(s)
}

/** Spaces that stand level and move as one. */
class Pools {
  readonly #areaOf: readonly { readonly areaM2: number }[]
  /** The pool of each space, named by its first. */
  readonly #pool: number[]
  readonly #areaM2: number[]
  readonly #levelM: number[]
  /** Down at this a pool falls apart. */
  readonly #partsM: number[]

  constructor(spaces: readonly { readonly areaM2: number }[], levelsM: readonly number[]) {
    this.#areaOf = spaces
    this.#pool = spaces.map((_, s) => s)
    this.#areaM2 = spaces.map(({ areaM2 }) => areaM2)
    this.#levelM = levelsM.slice()
    this.#partsM = spaces.map(() => -Infinity)
  }

  levelOf(space: number): number {
    return this.#levelM[this.#pool[space]!]!
  }

  /** Lets one run come to rest; how far it moved a level. */
  run({ from, to, stopM, joins }: Passing): number {
    const giver = this.#pool[from]!
    const taker = this.#pool[to]!
    if (giver === taker) return 0
    const high = this.#levelM[giver]!
    const low = this.#levelM[taker]!
    if (high <= stopM || high <= low) return 0
    const giverM2 = this.#areaM2[giver]!
    const takerM2 = this.#areaM2[taker]!
    const evenM = (giverM2 * high + takerM2 * low) / (giverM2 + takerM2)
    const wantedM = Math.max(stopM, evenM)
    const restM = Math.max(wantedM, this.#partsM[giver]!)
    this.#levelM[giver] = restM
    this.#levelM[taker] = low + ((high - restM) * giverM2) / takerM2
    if (restM > wantedM) this.#part(giver)
    else if (evenM >= stopM && joins) this.#join(giver, taker, stopM)
    // A pool that fell apart has more to give.
    return restM > wantedM ? Infinity : high - restM
  }

  #join(giver: number, taker: number, stopM: number): void {
    const evenM = this.#levelM[giver]!
    for (let s = 0; s < this.#pool.length; s++) {
      if (this.#pool[s] === taker) this.#pool[s] = giver
    }
    this.#levelM[giver] = evenM
    this.#areaM2[giver] = this.#areaM2[giver]! + this.#areaM2[taker]!
    this.#partsM[giver] = Math.max(this.#partsM[giver]!, this.#partsM[taker]!, stopM)
  }

  #part(pool: number): void {
    const levelM = this.#levelM[pool]!
    for (let s = 0; s < this.#pool.length; s++) {
      if (this.#pool[s] !== pool) continue
      this.#pool[s] = s
      this.#levelM[s] = levelM
      this.#areaM2[s] = this.#areaOf[s]!.areaM2
      this.#partsM[s] = -Infinity
    }
  }
}
