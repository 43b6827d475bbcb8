import type { Direction } from './piece.ts'

/** Words a typed run is made of, as they are offered while it is typed. */
export const NOTATION_WORDS: readonly string[] = [
  'up',
  'down',
  'left',
  'right',
  'front',
  'back',
  'elbow',
  'sweep',
  '45',
  'bend',
  'union',
  'gate',
  'ball',
  'diaphragm',
  'swing check',
  'spring check',
  'tee',
  'tee straight',
  'tee split',
  'bulkhead',
  'to',
  'hose',
  'nozzle',
  'reactor',
  'scrubber',
  'chiller',
  'heater',
  'sterilizer',
  'device',
]

/** What the trade says, and what it is here; the first that fits is taken. */
const TRADE: readonly (readonly [says: RegExp, is: string])[] = [
  [/^(gate|ball|diaphragm) valves?\b/, '$1'],
  [/^((?:swing |spring )?check) valves?\b/, '$1'],
  [/^(?:non-?return|one-way) valves?\b/, 'check'],
  [/^90(?: ?°| ?deg(?:rees?)?)?(?: elbows?| bends?)?$/, 'elbow'],
  [/^(?:elbows?|bends?) 90$/, 'elbow'],
  [/^45(?: ?°| ?deg(?:rees?)?)?(?: elbows?| bends?)?$/, '45'],
  [/^(?:long |wide )?sweep(?:ing)?(?: 90)?(?: elbows?| bends?)?$/, 'sweep'],
  [/^t(?: piece)?$|^tee piece$/, 'tee'],
  [/^(?:bulkhead|tank) (?:fitting|connector|union)\b/, 'bulkhead'],
  [/^reduc(?:er|e|ing)(?: to)? /, 'to '],
  [/^(elbow|union|tee|bulkhead)s$/, '$1'],
]

/** So many of one piece in one word group at most. */
const MOST = 20

/**
 * A word group in the words that are read: what the trade calls it by its plain name, "3 elbows" as
 * three, and "pipe 30 cm" in the direction the run leads.
 */
export function plainWords(group: string, onward: Direction): string[] {
  const lower = group.toLowerCase()
  const pipe = /^(?:straight )?pipe (.+)$/.exec(lower)
  if (pipe) return [/^\d/.test(pipe[1]!) ? `${onward} ${pipe[1]}` : pipe[1]!]
  const counted = /^(\d{1,2}) ?[x×]? (?:of )?((?:90|45).*|[a-z].*)$/.exec(lower)
  if (counted && !/^(?:90|45)$/.test(counted[1]!)) {
    const count = Number(counted[1])
    const [one] = named(singular(counted[2]!))
    if (count >= 1 && count <= MOST && one) return Array.from({ length: count }, () => one)
  }
  const [plain] = named(lower)
  return [plain ?? group]
}

const singular = (words: string) => words.replace(/s$/, '')

/** By its plain name, where the trade has another; else as it stands where it begins as pieces do. */
function named(words: string): readonly string[] {
  for (const [says, is] of TRADE) if (says.test(words)) return [words.replace(says, is)]
  return NOTATION_WORDS.some((word) => words === word) ? [words] : []
}
