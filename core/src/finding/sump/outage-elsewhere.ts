import { sentence } from '../../quantity/index.ts'
import { type OutageCase, outageState } from '../case/outage-case.ts'
import { factIf, rule } from '../rule.ts'

/** A power cut that the sump would hold, but whose water finds the floor another way. */
export const outageElsewhere = rule({
  code: 'outage-elsewhere',
  station: 'sump',
  severities: ['stop'],
  holds: 'In a power cut water reaches the floor elsewhere than over the sump’s rim.',
  condition: (outageCase: OutageCase) =>
    factIf(outageState(outageCase) === 'elsewhere' && outageCase.outage.elsewhere),
  title: ({ whole }, { tankId }) =>
    tankId === null
      ? sentence('A power cut runs out of an end that hangs over no tank')
      : sentence('A power cut runs {tank} over its rim', {
          tank: whole.design.tanks.find(({ id }) => id === tankId)!.name,
        }),
  reason: (_, { tankId, volumeM3 }) =>
    sentence(
      tankId === null
        ? '{litres} siphon out of it onto the floor. Bring the end over a tank, or give the line that feeds it a break hole.'
        : '{litres} more come to it from another tank than it has room for. Part them with a break hole just under the surface.',
      { litres: ['volume', volumeM3] },
    ),
  where: (_, { tankId }) => ({ tankId }),
})
