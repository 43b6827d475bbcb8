import { sentence } from '../../quantity/index.ts'
import { type HeatCase, heaterValues } from '../case/heat-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const heaterTooSmall = rule({
  code: 'heater-too-small',
  station: 'skimmer',
  severities: ['stop'],
  holds: 'The heaters there are can’t keep the water warm in the coldest room.',
  condition: ({ heat }: HeatCase) => holdsFor(heat.coldest.enough === 'no'),
  title: (heatCase) =>
    sentence(
      heatCase.heat.heaters > 0
        ? 'The heaters can’t hold {water} in a room of {room}'
        : 'Nothing holds the water at {water} in a room of {room}',
      heaterValues(heatCase),
    ),
  reason: (heatCase) =>
    sentence(
      'It takes {wanted} by night; the heaters give {there}. The usual reserve is two of {each} each, so that one that fails does not cool the tank.',
      heaterValues(heatCase),
    ),
})
