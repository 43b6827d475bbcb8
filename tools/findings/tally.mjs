/** Watches a design may be left with, in the mean. */
const MOST_WATCHES = 2
/** Of so many designs the fixes may end with a stop. */
const MOST_LEFT = 0.05
/** A code that is left on more designs than this share says nothing. */
const MOST_DESIGNS = 0.5

/** What was found of many designs, before and after their first fixes were followed. */
export class Tally {
  #designs = []
  #known = []

  add(row) {
    ;(row.known ? this.#known : this.#designs).push(row)
  }

  print() {
    const [before, after] = [this.#share('before'), this.#share('after')]
    const codes = [...new Set([...before.keys(), ...after.keys()])]
    codes.sort((a, b) => (before.get(b) ?? 0) - (before.get(a) ?? 0))
    const of = this.#designs.length
    console.log(`of ${of} designs, before and after following the first fixes`)
    for (const code of codes) {
      const [was, is] = [before, after].map((map) => String(map.get(code) ?? 0).padStart(4))
      console.log(`${was} ${is}  ${code}`)
    }
    const { asked, wet } = this.#confirmed()
    console.log(`stops that a drill can answer: ${asked}, of which it confirms ${wet}`)
    const [stops, watches] = [this.#mean('after', 'stop'), this.#mean('after', 'watch')]
    console.log(
      `in the mean ${this.#mean('before', 'stop').toFixed(2)} stops and ${this.#mean('before', 'watch').toFixed(2)} watches before, ${stops.toFixed(2)} and ${watches.toFixed(2)} after`,
    )
    for (const { name, left, steps } of [...this.#known, ...this.#left()]) {
      if (left.length > 0) console.log(`${name} after ${steps.length} steps: ${left.join('; ')}`)
    }
    console.log(`without a stop: ${of - this.#left().length} of ${of}`)
  }

  /** All that were asked for came; nearly all of them and every basin known by name end without a stop, with few watches. */
  holds(asked) {
    const of = this.#designs.length
    if (of !== asked || this.#known.length === 0) return false
    const usual = [...this.#share('after').values()].every((n) => n <= MOST_DESIGNS * of)
    return (
      this.#known.every(({ left }) => left.length === 0) &&
      this.#left().length <= Math.max(1, MOST_LEFT * of) &&
      this.#mean('after', 'watch') < MOST_WATCHES &&
      usual
    )
  }

  #left() {
    return this.#designs.filter(({ left }) => left.length > 0)
  }

  #share(when) {
    const counts = new Map()
    for (const row of this.#designs) {
      for (const code of new Set(row[when].map(({ code, severity }) => `${code}, ${severity}`))) {
        counts.set(code, (counts.get(code) ?? 0) + 1)
      }
    }
    return counts
  }

  #mean(when, severity) {
    const all = this.#designs.flatMap((row) => row[when].filter((one) => one.severity === severity))
    return all.length / Math.max(1, this.#designs.length)
  }

  #confirmed() {
    const sum = (key) => this.#designs.reduce((total, row) => total + row[key], 0)
    return { asked: sum('asked'), wet: sum('wet') }
  }
}
