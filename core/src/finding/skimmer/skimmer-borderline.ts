import { sentence } from '../../quantity/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'
import { holdsFor, rule } from '../rule.ts'
import { beside, counted } from './size-words.ts'

export const skimmerBorderline = rule({
  code: 'skimmer-borderline',
  station: 'own',
  severities: ['watch'],
  holds: 'A skimmer nearly suits the water and its load, by the school in force.',
  condition: ({ skimmer: { inForce } }: SkimmerCase) =>
    holdsFor(inForce.says === 'borderline-small' || inForce.says === 'borderline-large'),
  title: ({ device, skimmer }) =>
    sentence(
      skimmer.inForce.says === 'borderline-small'
        ? '{device} is on the small side for this water'
        : '{device} is on the large side for this water',
      { device: device.name },
    ),
  reason: (skimmerCase) =>
    sentence('{counted}{beside}', { counted: counted(skimmerCase), beside: beside(skimmerCase) }),
})
