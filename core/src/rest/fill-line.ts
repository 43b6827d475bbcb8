import type { RestCase } from './rest-case.ts'
import { type Rest, restOf } from './rest-levels.ts'

/** The sump of a case: the chambers that take what comes down, and up to where. */
export interface RestSump {
  /** Places of the chambers among the spaces; what is parted from the return chamber takes nothing. */
  readonly chambers: readonly number[]
  readonly returnChamber: number
  readonly floorM: number
  readonly rimM: number
  /** What the keeper wants left under the rim, m. */
  readonly marginM: number
}

/** How high the return chamber may run. */
export interface FillLine {
  /** Highest running level that comes to rest at the rim less the margin; null: none does, and water is missing room. */
  readonly levelM: number | null
  /** What is over the margin with the return chamber empty, m³; nil where there is a line. */
  readonly missingM3: number
}

/** The line's rest is found to this, m. */
const FOUND_M = 1e-9
const MOST_STEPS = 60

/**
 * The line to draw on the glass. The rest level rises with the running level: found at once as if all
 * that comes down stayed the same, else bracketed.
 *
 * @param rest of the case as it runs
 */
export function fillLineOf(given: RestCase, sump: RestSump, rest = restOf(given)): FillLine {
  const limitM = sump.rimM - sump.marginM
  const off = (levelM: number) => highestRest(restOf(runningAt(given, sump, levelM)), sump) - limitM
  const guess = asMuchDown(given, sump, rest, limitM)
  if (guess > sump.floorM) {
    const here = off(guess)
    if (Math.abs(here) < FOUND_M) return { levelM: guess, missingM3: 0 }
  }
  const emptyOff = off(sump.floorM)
  if (emptyOff > 0) {
    const empty = runningAt(given, sump, sump.floorM)
    return { levelM: null, missingM3: overM3(empty, sump, limitM) }
  }
  return { levelM: bracketed(off, [sump.floorM, emptyOff], [limitM, off(limitM)]), missingM3: 0 }
}

/** False position between a level that rests too low and one that rests too high (Illinois). */
function bracketed(
  off: (levelM: number) => number,
  [lowM, lowOff]: readonly [number, number],
  [highM, highOff]: readonly [number, number],
): number {
  let low = { levelM: lowM, off: lowOff }
  let high = { levelM: highM, off: highOff }
  for (let step = 0; step < MOST_STEPS && high.levelM - low.levelM > FOUND_M; step++) {
    const share = low.off / (low.off - high.off)
    const levelM = low.levelM + (high.levelM - low.levelM) * (share > 0 && share < 1 ? share : 0.5)
    const here = off(levelM)
    if (Math.abs(here) < FOUND_M) return levelM
    if (here > 0) {
      high = { levelM, off: here }
      low = { ...low, off: low.off / 2 }
    } else {
      low = { levelM, off: here }
      high = { ...high, off: high.off / 2 }
    }
  }
  return low.levelM
}

/** The running level at which the sump is full to a level if no more and no less came down: right where no tank's rest hangs on the sump's. */
function asMuchDown({ spaces }: RestCase, sump: RestSump, rest: Rest, limitM: number): number {
  const { chambers, returnChamber } = sump
  let roomM3 = 0
  for (const c of chambers) {
    const { areaM2, levelM } = spaces[c]!
    roomM3 += areaM2 * (limitM - (rest.levelsM[c]! - levelM))
  }
  // Chambers that the level overtops stand as high as it.
  let levelM = -Infinity
  for (let turn = 0; turn <= chambers.length; turn++) {
    let heldM3 = 0
    let areaM2 = 0
    for (const c of chambers) {
      const own = spaces[c]!
      if (c === returnChamber || own.levelM < levelM) areaM2 += own.areaM2
      else heldM3 += own.areaM2 * own.levelM
    }
    const next = (roomM3 - heldM3) / areaM2
    if (next === levelM) break
    levelM = next
  }
  return levelM
}

/** The case with its return chamber running at a level; chambers that it overtops stand as high. */
function runningAt(
  given: RestCase,
  { chambers, returnChamber }: RestSump,
  levelM: number,
): RestCase {
  // Written out: spreads take many times as long, at every keystroke.
  const { walls, drains, mouths, ways, wayFallsM3, gifts } = given
  const spaces = given.spaces.map((space, s) => {
    const { areaM2 } = space
    if (s === returnChamber) return { areaM2, levelM }
    return chambers.includes(s) ? { areaM2, levelM: Math.max(space.levelM, levelM) } : space
  })
  return { spaces, walls, drains, mouths, ways, wayFallsM3, gifts }
}

/** The highest level among the chambers that take water. */
export function highestRest({ levelsM }: Rest, { chambers }: RestSump): number {
  let highest = -Infinity
  for (const c of chambers) highest = Math.max(highest, levelsM[c]!)
  return highest
}

/** What stands above a level in the sump at rest, m³. */
export function overM3(given: RestCase, { chambers }: RestSump, levelM: number): number {
  const { levelsM } = restOf(given)
  return chambers.reduce(
    (sum, c) => sum + given.spaces[c]!.areaM2 * Math.max(0, levelsM[c]! - levelM),
    0,
  )
}
