import { sentence } from '../../quantity/index.ts'
import type { Whole } from '../case/whole.ts'
import { DRY_SOON_S } from '../limits.ts'
import { rule } from '../rule.ts'

/** Evaporation without top-off beside the water over the pump's inlet. */
export const runsDrySoon = rule({
  code: 'runs-dry-soon',
  station: 'sump',
  severities: ['watch'],
  holds:
    'Without top-off the pump draws air within days, and there is none, or it lasts no longer.',
  condition: ({ sump: { waterUse: use }, design }: Whole) => {
    if (!use || use.untilAirS === null || use.untilAirS <= 0) return []
    // A top-off keeps the level until its reservoir is empty: only then the water goes down.
    const keptS = design.sump.topOff === null ? 0 : (use.reservoirS ?? Infinity)
    const untilAirS = keptS + use.untilAirS
    return untilAirS >= DRY_SOON_S
      ? []
      : [{ untilAirS, keptS, lossM3PerDay: use.evaporationM3PerS * 86_400 }]
  },
  title: (_, { untilAirS, keptS }) =>
    sentence(
      keptS > 0
        ? 'The top-off’s reservoir is soon empty, and the pump draws air in {days}'
        : 'Without top-off the pump draws air in {days}',
      { days: ['days', untilAirS] },
    ),
  reason: (_, { lossM3PerDay }) =>
    sentence(
      'All the water that goes into the air, {loss} a day, comes out of the return chamber. A larger chamber, a deeper inlet or a top-off reservoir gives time.',
      { loss: ['volume', lossM3PerDay] },
    ),
  where: ({ sump }) => ({ chamberId: sump.returnChamberId }),
})
