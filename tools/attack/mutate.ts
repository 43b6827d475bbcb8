/** A number from 0 to 1, from a seed: the same run again whenever it is asked for. */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
}

/** Values that stand for something else, or trip whoever takes them at their word. */
export const JUNK: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1e308,
  1.5,
  '',
  ' ',
  '0',
  'toString',
  '__proto__',
  'constructor',
  '\ud800',
  'a\u0000b',
  'x'.repeat(5000),
  '😀',
  [],
  [null],
  [[]],
  [1, 'a', null],
  {},
  { constructor: 1 },
  { toString: 1, valueOf: null },
  { id: 'toString', kind: 'constructor' },
  JSON.parse('{"__proto__": {"id": 1}}'),
]

type Holder = Record<string, unknown> | unknown[]

/** Every place in a value, as its holder and key. */
function places(value: unknown, found: { holder: Holder; key: string }[] = []) {
  if (typeof value !== 'object' || value === null) return found
  const holder = value as Holder
  for (const key of Object.keys(holder)) {
    found.push({ holder, key })
    places((holder as Record<string, unknown>)[key], found)
  }
  return found
}

/** A copy of plain data with one to four things wrong in it. */
export function mutated(plain: unknown, random: () => number): unknown {
  const copy = structuredClone(plain)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const count = 1 + Math.floor(random() * 4)
  for (let i = 0; i < count; i++) {
    const all = places(copy)
    if (all.length === 0) break
    const { holder, key } = pick(all)
    const table = holder as Record<string, unknown>
    const way = random()
    if (way < 0.55) table[key] = structuredClone(pick(JUNK))
    else if (way < 0.75) delete table[key]
    else if (way < 0.85)
      table[pick(['extra', 'constructor', 'toString', '\ud800'])] = structuredClone(pick(JUNK))
    else if (way < 0.95) table[key] = structuredClone(pick(all).holder)
    else if (Array.isArray(holder)) holder.push(...structuredClone(holder))
  }
  // What JSON cannot say cannot be sent.
  return JSON.parse(JSON.stringify(copy)) as unknown
}
