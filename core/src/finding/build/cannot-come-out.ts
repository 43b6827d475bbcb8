import { type ComesApart, comesApart, partName, type ThingKind } from '../../build-sheet/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { Whole } from '../case/whole.ts'
import { type Case, factIf, rule } from '../rule.ts'
import type { Station } from '../severity.ts'

/** A thing of a design, and how it comes out. */
export interface ThingCase extends Case {
  readonly whole: Whole
  readonly found: ComesApart
  readonly station: Station
}

/** The stop that a thing is looked for at. */
const STATION: Readonly<Record<ThingKind, Station>> = {
  pump: 'return',
  sterilizer: 'sterilizer',
  lamp: 'sterilizer',
  device: 'skimmer',
  valve: 'return',
  drain: 'drains',
  box: 'overflow',
  sump: 'sump',
}

/** Everything of a design that comes out one day. */
export function thingCases(whole: Whole): ThingCase[] {
  // A lamp that can't be drawn where it hangs is found of its sterilizer.
  const things = comesApart(whole.design).filter(({ thing }) => thing.kind !== 'lamp')
  return things.map((found) => {
    const { kind, deviceId, drainId } = found.thing
    return {
      whole,
      found,
      station: drainId === null ? STATION[kind] : 'drains',
      where: { ...(drainId ? { drainId } : {}), ...(deviceId ? { deviceId } : {}) },
    }
  })
}

/** Something that will have to come out one day is joined for good to something that stays. */
export const cannotComeOut = rule({
  code: 'cannot-come-out',
  station: 'own',
  severities: ['stop'],
  holds:
    'A thing that comes out one day is glued to something that stays, with nothing between that can be reached and undone.',
  condition: ({ found }: ThingCase) => factIf(!found.isFree && found),
  title: (_, { thing }) =>
    sentence('{name}: It can’t come out without cutting', { name: thing.name }),
  reason: ({ whole }, { heldBy, unreached }) => {
    const what = partName(whole.design, heldBy[0]!)
    return unreached.length === 0
      ? sentence(
          'It is glued or screwed to what stays where it is ({what}), and no union, hose or dry fit is between.',
          { what },
        )
      : sentence('What would let it go of {what} is where no hand or wrench gets to it.', { what })
  },
  where: (_, { thing }) => ({ pieceId: thing.pieceId }),
})
