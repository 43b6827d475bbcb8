import { fallsTo } from './open-ways.ts'
import { airAtM, type RestCase } from './rest-case.ts'
import { type Passing, settle } from './settle.ts'

/** Where everything comes to rest. */
export interface Rest {
  /** Of each space, in the case's order. */
  readonly levelsM: readonly number[]
  /** The space that each way's water fell into; −1: it stays where it is. */
  readonly wayFellTo: readonly number[]
  readonly fromWaysM3: number
  readonly fromDrainsM3: number
  readonly fromGiftsM3: number
}

/**
 * The levels at rest when nothing drives the water (hydraulics reference, §8): first what stands over
 * rims and drains, then every mouth runs to every mouth that an open path leads to, until its space is
 * down at its break hole or itself, at the other mouth's own height, or the two levels meet; then
 * the pipes that air has got into fall.
 */
export function restOf(given: RestCase): Rest {
  const { spaces, drains, gifts, wayFallsM3 } = given
  const levels = spaces.map(({ levelM }) => levelM)
  const down = overRims(given)
  settle(spaces, levels, down)
  const all = throughWays(given, down.slice())
  settle(spaces, levels, all)
  const wayFellTo = fallsTo(given, levels)
  const give = (to: number, volumeM3: number) => {
    levels[to] = levels[to]! + volumeM3 / spaces[to]!.areaM2
    return volumeM3
  }
  let fromDrainsM3 = 0
  for (const { to, fallsM3 } of drains) fromDrainsM3 += give(to, fallsM3)
  let fromGiftsM3 = 0
  for (const { to, fallsM3 } of gifts) fromGiftsM3 += give(to, fallsM3)
  let fromWaysM3 = 0
  wayFellTo.forEach((to, w) => {
    if (to >= 0) fromWaysM3 += give(to, wayFallsM3[w]!)
  })
  settle(spaces, levels, all)
  return { levelsM: levels, wayFellTo, fromWaysM3, fromDrainsM3, fromGiftsM3 }
}

/** What walls and drains let down. */
function overRims({ walls, drains }: RestCase): Passing[] {
  const runs: Passing[] = []
  for (const { between, crestM: stopM } of walls) {
    const [a, b] = between
    runs.push({ from: a, to: b, stopM, joins: true }, { from: b, to: a, stopM, joins: true })
  }
  for (const { from, to, inletM } of drains) runs.push({ from, to, stopM: inletM, joins: false })
  return runs
}

/** What the plumbing lets through, mouth to mouth, put behind other runs. */
function throughWays({ mouths, ways: { reached } }: RestCase, runs: Passing[]): Passing[] {
  for (let m = 0; m < mouths.length; m++) {
    const mouth = mouths[m]!
    const airM = airAtM(mouth)
    for (const n of reached[m]!) {
      const { space, levelM } = mouths[n]!
      if (space === mouth.space) continue
      runs.push({ from: mouth.space, to: space, stopM: Math.max(airM, levelM), joins: false })
    }
  }
  return runs
}
