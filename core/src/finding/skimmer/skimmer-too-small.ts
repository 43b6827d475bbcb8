import { sentence } from '../../quantity/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'
import { holdsFor, rule } from '../rule.ts'
import { beside, counted, ratedAndWanted } from './size-words.ts'

export const skimmerTooSmall = rule({
  code: 'skimmer-too-small',
  stop: 'own',
  severities: ['watch'],
  holds: 'A skimmer is too small for the water and its load, by the school in force.',
  condition: ({ skimmer }: SkimmerCase) => holdsFor(skimmer.inForce.says === 'small'),
  title: ({ device }) => sentence(`${device.name} is too small for this water`),
  reason: (one) => sentence(counted(one) + beside(one), ratedAndWanted(one)),
})
