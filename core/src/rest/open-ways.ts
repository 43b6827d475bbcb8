import { airAtM, type OpenWays, type RestCase, type RestWay, type WayOn } from './rest-case.ts'

/** Sorts a plumbing's ways by where they lead. */
export function openWays(mouthCount: number, teeCount: number, ways: readonly RestWay[]): OpenWays {
  const away: WayOn[][] = Array.from({ length: mouthCount + teeCount }, () => [])
  ways.forEach(({ from, to, passes }, way) => {
    if (passes === 'none') return
    away[from]!.push({ way, to })
    if (passes === 'both') away[to]!.push({ way, to: from })
  })
  const reached = Array.from({ length: mouthCount }, (_, m) => mouthsFrom(away, mouthCount, m))
  return { wayCount: ways.length, away, reached }
}

function mouthsFrom(away: OpenWays['away'], mouthCount: number, mouth: number): number[] {
  const seen = new Set([mouth])
  const queue = [mouth]
  const reached: number[] = []
  for (const node of queue) {
    // A mouth is an end: what comes to it is in its space.
    if (node < mouthCount && node !== mouth) continue
    for (const { to } of away[node]!) {
      if (seen.has(to)) continue
      seen.add(to)
      queue.push(to)
      if (to < mouthCount) reached.push(to)
    }
  }
  return reached
}

/** A space this near to where its mouth lets air in is down there, m. */
const BARE_M = 1e-9

/** Where each way's water falls at these levels: a space, or −1 where it stays. */
export function fallsTo(
  { mouths, ways: { away, wayCount } }: RestCase,
  levelsM: readonly number[],
): number[] {
  const into: number[] = []
  for (let way = 0; way < wayCount; way++) into.push(-1)
  const passed: number[] = []
  const path: number[] = []
  const lands = (space: number) => {
    for (const way of path) {
      const than = into[way]!
      if (than < 0 || levelsM[space]! < levelsM[than]!) into[way] = space
    }
  }
  const walk = (node: number, airM: number) => {
    if (node < mouths.length && path.length > 0) {
      const { space, levelM } = mouths[node]!
      if (levelsM[space]! < airM && levelM < airM) lands(space)
      return
    }
    passed.push(node)
    for (const { way, to } of away[node]!) {
      if (passed.includes(to)) continue
      path.push(way)
      walk(to, airM)
      path.pop()
    }
    passed.pop()
  }
  mouths.forEach((mouth, m) => {
    const airM = airAtM(mouth)
    if (levelsM[mouth.space]! <= airM + BARE_M) walk(m, airM)
  })
  return into
}
