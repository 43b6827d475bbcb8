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

/** A copy of plain data with one to four things changed in it, most of them for the worse. */
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
    if (typeof table[key] === 'number' && random() < 0.7) {
      // Often still what can be: those are solved.
      table[key] = table[key] * (random() < 0.5 ? 0.5 + random() : 3 * random() - 0.5)
      continue
    }
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
