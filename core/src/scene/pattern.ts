/** steady; on and off; in turns with the other group; slowly from one group to the other; by chance. */
export type PatternKind = 'steady' | 'pulse' | 'alternate' | 'reversing' | 'random'

/** How a pump's speed goes in time. */
export interface Pattern {
  readonly kind: PatternKind
  /** Of one whole turn; of one hold for a random one. */
  readonly periodS: number
  /** Share of its set speed that it falls to. */
  readonly low: number
  /** Which of the two that take turns. */
  readonly group: 'first' | 'second'
}

/** Share of its set speed that a pump runs at, at a time. `seed` tells pumps with random patterns apart. */
export function levelAt(pattern: Pattern, timeS: number, seed: number): number {
  const { kind, periodS, low } = pattern
  if (kind === 'steady') return 1
  const turn = timeS / periodS
  const later = pattern.group === 'second' && kind !== 'pulse' ? 0.5 : 0
  const phase = turn + later - Math.floor(turn + later)
  if (kind === 'pulse' || kind === 'alternate') return phase < 0.5 ? 1 : low
  if (kind === 'reversing') return low + (1 - low) * 0.5 * (1 + Math.cos(2 * Math.PI * phase))
  return low + (1 - low) * chance(Math.floor(turn), seed)
}

/** Mean of the level's square, what a stream's momentum goes by, over whole turns. */
export function meanSquareLevel({ kind, low }: Pattern): number {
  if (kind === 'steady') return 1
  if (kind === 'pulse' || kind === 'alternate') return (1 + low * low) / 2
  const span = 1 - low
  const half = kind === 'reversing' ? 3 / 8 : 1 / 3
  return low * low + low * span + half * span * span
}

/** Mean of the level's cube, what a pump's power goes by, over whole turns. */
export function meanCubeLevel({ kind, low }: Pattern): number {
  if (kind === 'steady') return 1
  if (kind === 'pulse' || kind === 'alternate') return (1 + low ** 3) / 2
  const span = 1 - low
  const [square, cube] = kind === 'reversing' ? [3 / 8, 5 / 16] : [1 / 3, 1 / 4]
  return low ** 3 + 1.5 * low * low * span + 3 * square * low * span * span + cube * span ** 3
}

/** A number in 0…1 that the same count and seed always give (an integer hash). */
function chance(count: number, seed: number): number {
  let x = (Math.imul(count + 1, 0x9e3779b1) ^ Math.imul(seed + 1, 0x85ebca6b)) >>> 0
  x = Math.imul(x ^ (x >>> 16), 0x7feb352d) >>> 0
  x = Math.imul(x ^ (x >>> 15), 0x846ca68b) >>> 0
  return ((x ^ (x >>> 16)) >>> 0) / 0x100000000
}
