import { sentence } from '../../quantity/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'
import { holdsFor, rule } from '../rule.ts'
import { beside, counted } from './size-words.ts'

export const skimmerTooSmall = rule({
  code: 'skimmer-too-small',
  station: 'own',
  severities: ['watch'],
  holds: 'A skimmer is too small for the water and its load, by the school in force.',
  condition: ({ skimmer }: SkimmerCase) => holdsFor(skimmer.inForce.says === 'small'),
  title: ({ device }) => sentence('{device} is too small for this water', { device: device.name }),
  reason: (skimmerCase) =>
    sentence('{counted}{beside}', { counted: counted(skimmerCase), beside: beside(skimmerCase) }),
})
