import { sentence } from '../../quantity/index.ts'
import { type HeatCase, heaterValues } from '../case/heat-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const heaterHolds = rule({
  code: 'heater-holds',
  station: 'skimmer',
  severities: ['fine'],
  holds:
    'The heaters keep the water warm in the coldest room, with what is not known of it to spare.',
  condition: ({ heat: { coldest, heatersW } }: HeatCase) =>
    holdsFor(coldest.enough === 'yes' && heatersW >= coldest.wantedW + coldest.wantedBandW),
  title: (heatCase) =>
    sentence('The heaters hold {water} in a room of {room}', heaterValues(heatCase)),
  reason: (heatCase) =>
    sentence('It takes {wanted} by night; the heaters give {there}.', heaterValues(heatCase)),
})
