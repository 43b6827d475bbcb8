import { sentence } from '../../quantity/index.ts'
import { type HeatCase, heaterValues } from '../case/heat-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** Enough on paper, by less than is known of the losses. */
export const heaterNearItsLimit = rule({
  code: 'heater-near-its-limit',
  station: 'skimmer',
  severities: ['watch'],
  holds: 'The heaters are enough in the coldest room by less than the losses are known.',
  condition: ({ heat: { coldest, heatersW } }: HeatCase) =>
    holdsFor(coldest.enough === 'yes' && heatersW < coldest.wantedW + coldest.wantedBandW),
  title: (heatCase) =>
    sentence('The heaters just hold {water} in a room of {room}', heaterValues(heatCase)),
  reason: (heatCase) =>
    sentence(
      'It takes {wanted} by night; the heaters give {there}. A draught or an open cover is not in that figure.',
      heaterValues(heatCase),
    ),
})
