import { building } from '@yew-basin/core'
import type { useUnits } from '../shell/units.ts'

/** How each kind of joint is undone, in a word. */
export const UNDO_WORDS: Readonly<Record<building.EndKind, string>> = {
  union: 'union',
  barb: 'hose clamp',
  'push-fit': 'dry fit, pulled',
  gasket: 'bulkhead nut',
  glued: 'glued',
  threaded: 'thread',
  spigot: 'glued',
}

/** What keeps a thing in its place once its pipes are off. */
export const SHUT_IN: Readonly<
  Record<NonNullable<building.ApartRow['thing']['shutInBy']>, string>
> = {
  top: 'It can’t be lifted out: the cabinet’s top is in the way.',
  doors: 'It can’t be taken out: no door of the cabinet lets it through (see Room).',
}

/** Things with a body of water that nobody gave the size of. */
const HOLDS: ReadonlySet<string> = new Set(['device', 'sterilizer', 'pump'])
/** Less than a spoonful is a drop. */
const A_DROP_M3 = 5e-6

/** What runs out while a thing is taken out. */
export function runsOutWords(row: building.ApartRow, units: ReturnType<typeof useUnits>): string {
  const own = row.runsOutM3 > A_DROP_M3 ? units.text('volume', row.runsOutM3) : ''
  const send = row.tankNames.length > 1 ? 'send' : 'sends'
  const back = row.tankNames.length > 0 ? `what ${row.tankNames.join(' and ')} ${send} back` : ''
  const inside = HOLDS.has(row.thing.kind) ? 'what stands in it' : ''
  return [own, inside, back].filter(Boolean).join(', and ') || 'a few drops'
}

/** What room a tool is given beside a joint. */
export const roomWords = (units: ReturnType<typeof useUnits>): string =>
  `A wrench is given ${units.text('length', building.WRENCH.clearanceM)} beside a nut and a hand ${units.text('length', building.HAND.clearanceM)}, with fittings of a typical size`
