/** Items by their places, bin by bin. */
export type Bins = readonly (readonly number[])[]

/** Places of items, the largest first; of equal ones the first. */
function largestFirst(sizes: readonly number[]): number[] {
  return sizes.map((_, i) => i).sort((a, b) => sizes[b]! - sizes[a]! || a - b)
}

/** Each item, the largest first, into the bin that it leaves the least room in. */
export function bestFitDecreasing(sizes: readonly number[], room: number): Bins {
  const bins: number[][] = []
  const left: number[] = []
  for (const item of largestFirst(sizes)) {
    const size = sizes[item]!
    let best = -1
    for (let bin = 0; bin < bins.length; bin++)
      if (left[bin]! >= size && (best < 0 || left[bin]! < left[best]!)) best = bin
    if (best < 0) {
      best = bins.push([]) - 1
      left.push(room)
    }
    bins[best]!.push(item)
    left[best]! -= size
  }
  return bins
}

/**
 * Bins that no fewer can do: from what was found down, each number tried until one can't be (bin
 * completion: the largest item left opens a bin, which is filled in every way that is worth it; what the
 * bins waste together is bounded). Gives up after so many looks, and says so.
 */
export function fewestBins(
  sizes: readonly number[],
  room: number,
  found: Bins,
): { readonly bins: Bins; readonly isFewest: boolean } {
  const least = leastBins(sizes, room)
  let bins = found
  while (bins.length > least) {
    const { bins: fewer, isSure } = packed(sizes, room, bins.length - 1)
    if (!fewer) return { bins, isFewest: isSure }
    bins = fewer
  }
  return { bins, isFewest: true }
}

/**
 * What a bin may waste, as a multiple of its even share of all that may be wasted: tried in this order. A search that
 * lets no bin waste much finds a tight packing soon where there is one; only the last, without a cap, proves that there is none.
 */
const WASTE_CAPS = [1, 1.5, 2.5, 5, Infinity]

function packed(
  sizes: readonly number[],
  room: number,
  count: number,
): { readonly bins: Bins | null; readonly isSure: boolean } {
  for (const cap of WASTE_CAPS) {
    const search = new Completion(sizes, room, { count, cap })
    const bins = search.run()
    if (bins) return { bins, isSure: true }
    if (cap === Infinity) return { bins: null, isSure: !search.gaveUp }
  }
  return { bins: null, isSure: false }
}

/**
 * No fewer bins can do (Martello & Toth 1990, L₂): for every size k up to half a bin, items over room − k
 * stand alone, those over half want one each, and what of the rest finds no room beside them wants more.
 */
function leastBins(sizes: readonly number[], room: number): number {
  const sum = (list: readonly number[]) => list.reduce((all, size) => all + size, 0)
  let least = Math.ceil(sum(sizes) / room)
  for (const k of new Set([0, ...sizes.filter((size) => size * 2 <= room)])) {
    const alone = sizes.filter((size) => size > room - k)
    const large = sizes.filter((size) => size <= room - k && size * 2 > room)
    const rest = sizes.filter((size) => size * 2 <= room && size >= k)
    const left = sum(rest) - (large.length * room - sum(large))
    least = Math.max(least, alone.length + large.length + Math.max(0, Math.ceil(left / room)))
  }
  return least
}

/** Looks at sets of items before the search gives up: about a tenth of a second. */
const MOST_LOOKS = 1e4
/** The last search, which alone proves, looks longer. */
const LAST_LOOKS = 1e5

/** A search for all items in so many bins. */
class Completion {
  gaveUp = false
  private readonly order: readonly number[]
  private readonly used: boolean[]
  private readonly bins: number[][] = []
  private looks = 0
  private readonly failed = new Set<number>()

  constructor(
    private readonly sizes: readonly number[],
    private readonly room: number,
    private readonly to: { readonly count: number; readonly cap: number },
  ) {
    this.order = largestFirst(sizes)
    this.used = sizes.map(() => false)
  }

  run(): Bins | null {
    const total = this.sizes.reduce((sum, size) => sum + size, 0)
    return this.open(this.to.count * this.room - total) ? this.bins : null
  }

  /** Opens the next bin with the largest item left; waste: what the bins may still leave empty together. */
  private open(waste: number): boolean {
    const first = this.order.find((item) => !this.used[item])
    if (first === undefined) return true
    const left = this.to.count - this.bins.length
    if (left === 0) return false
    // What is left decides alone: by whatever sets it came to that, there is no way on.
    const state = this.stateNow()
    if (this.failed.has(state)) return false
    const isTooMuch = leastBins(this.leftSizes(), this.room) > left
    const bin = [first]
    this.used[first] = true
    this.bins.push(bin)
    const at = this.order.indexOf(first) + 1
    const allowed = Math.min(waste, Math.ceil((waste / left) * this.to.cap))
    const room = this.room - this.sizes[first]!
    const own = { left: room, allowed: Math.min(allowed, room - this.largestIn(room)), waste }
    if (!isTooMuch && this.fill(bin, at, own)) return true
    this.bins.pop()
    this.used[first] = false
    if (!this.gaveUp) this.failed.add(state)
    return false
  }

  /** Which items are placed, and in how many bins: exact in a double for so few. */
  private stateNow(): number {
    return (
      this.used.reduce((sum, used, item) => (used ? sum + 2 ** item : sum), 0) * 64 +
      this.bins.length
    )
  }

  private leftSizes(): number[] {
    return this.order.filter((item) => !this.used[item]).map((item) => this.sizes[item]!)
  }

  /** Adds items from a place of the order on, the largest sets first; then goes on to the next bin. */
  private fill(
    bin: number[],
    from: number,
    { left, allowed, waste }: { left: number; allowed: number; waste: number },
  ): boolean {
    if (++this.looks > (this.to.cap === Infinity ? LAST_LOOKS : MOST_LOOKS)) {
      this.gaveUp = true
      return false
    }
    if (left - this.sumFrom(from) > allowed) return false
    let fits = false
    let before = -1
    for (let at = from; at < this.order.length; at++) {
      const item = this.order[at]!
      const size = this.sizes[item]!
      if (this.used[item] || size > left) continue
      fits = true
      // Of equal items one is as good as the other.
      if (size === before) continue
      before = size
      this.used[item] = true
      bin.push(item)
      if (this.fill(bin, at + 1, { left: left - size, allowed, waste })) return true
      bin.pop()
      this.used[item] = false
      if (this.gaveUp) return false
    }
    // With more in it there was no way, so there is none without; and where an item passed over before
    // still fits, the set with it is tried in its own turn.
    if (fits || this.smallestLeft() <= left) return false
    return left <= allowed && this.open(waste - left)
  }

  /**
   * The largest item left that fits; zero: none does. A set that is smaller in all can stand where that item would have, so
   * it is never better than the item alone (Martello & Toth 1990, dominance).
   */
  private largestIn(room: number): number {
    const item = this.order.find((other) => !this.used[other] && this.sizes[other]! <= room)
    return item === undefined ? 0 : this.sizes[item]!
  }

  /** All that could still go in, were there room. */
  private sumFrom(from: number): number {
    let sum = 0
    for (let at = from; at < this.order.length; at++)
      if (!this.used[this.order[at]!]) sum += this.sizes[this.order[at]!]!
    return sum
  }

  private smallestLeft(): number {
    const smallest = this.order.findLast((item) => !this.used[item])
    return smallest === undefined ? Infinity : this.sizes[smallest]!
  }
}
