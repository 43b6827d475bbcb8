import type { SolvedEmergency } from '../../figures/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** The emergency takes it all, but not by its open mouth alone, or not with anything to spare. */
export const emergencyOnlyFull = rule({
  code: 'emergency-only-full',
  station: 'drains',
  severities: ['watch'],
  holds: 'An emergency carries the whole flow only with its pipe running full, or just so.',
  condition: ({ solved: { emergency } }: DrainCase) => holdsFor(emergency?.verdict === 'watch'),
  title: ({ drain, solved }) =>
    sentence(
      isOpenShort(solved.emergency!)
        ? '{drain} takes it all only with its pipe running full'
        : '{drain} takes it all with little to spare',
      { drain: drain.name },
    ),
  reason: ({ solved }) => {
    const { riseOpenM, riseOpenBandM, riseNeededM, riseWithReserveM, inletToRimM } =
      solved.emergency!
    const left = ['length', inletToRimM] as const
    const needed = ['length', riseNeededM ?? NaN] as const
    if (isOpenShort(solved.emergency!)) {
      return sentence(
        riseOpenM === null
          ? 'Its open mouth alone never takes it. Running full it wants {needed} of water over it, and the rim is {left} over it. Try it before you rely on it, set its lip lower, or lay it wider.'
          : 'Its open mouth alone would want {open} of water over it, and the rim is {left} over it. Running full it wants {needed}. Try it before you rely on it, set its lip lower, or lay it wider.',
        { open: ['length', riseOpenM ?? NaN, riseOpenBandM], left, needed },
      )
    }
    if (riseWithReserveM === null) {
      return sentence(
        'It wants {needed} of water over its lip, the rim is {left} over it, and 15 % more flow it never takes.',
        { needed, left },
      )
    }
    return sentence(
      'It wants {needed} of water over its lip, {more} with 15 % more flow, and the rim is {left} over it.',
      { needed, more: ['length', riseWithReserveM], left },
    )
  },
})

/** Would its open mouth alone let the water pass the rim? */
function isOpenShort({ riseOpenM, inletToRimM }: SolvedEmergency): boolean {
  return riseOpenM === null || riseOpenM > inletToRimM
}
