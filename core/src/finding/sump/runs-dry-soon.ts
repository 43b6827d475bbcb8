import { sentence } from '../../quantity/index.ts'
import type { Whole } from '../case/whole.ts'
import { DRY_SOON_S } from '../limits.ts'
import { rule } from '../rule.ts'

/** Evaporation without top-off beside the water over the pump's inlet. */
export const runsDrySoon = rule({
  code: 'runs-dry-soon',
  station: 'sump',
  severities: ['watch'],
  holds: 'Without top-off the pump draws air within days.',
  condition: ({ sump: { waterUse: use } }: Whole) =>
    !use || use.untilAirS === null || use.untilAirS >= DRY_SOON_S || use.untilAirS <= 0
      ? []
      : [{ untilAirS: use.untilAirS, lossM3PerDay: use.evaporationM3PerS * 86_400 }],
  title: (_, { untilAirS }) =>
    sentence('Without top-off the pump draws air in {days}', { days: ['days', untilAirS] }),
  reason: (_, { lossM3PerDay }) =>
    sentence(
      'All the water that goes into the air, {loss} a day, comes out of the return chamber. A larger chamber, a deeper inlet or a top-off reservoir gives time.',
      { loss: ['volume', lossM3PerDay] },
    ),
  where: ({ sump }) => ({ chamberId: sump.returnChamberId }),
})
