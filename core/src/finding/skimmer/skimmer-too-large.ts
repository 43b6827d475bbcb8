import { sentence } from '../../quantity/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'
import { holdsFor, rule } from '../rule.ts'
import { beside, counted } from './size-words.ts'

export const skimmerTooLarge = rule({
  code: 'skimmer-too-large',
  station: 'own',
  severities: ['watch'],
  holds: 'A skimmer is far too large for the water and its load, by the school in force.',
  condition: ({ skimmer }: SkimmerCase) => holdsFor(skimmer.inForce.says === 'large'),
  title: ({ device }) => sentence('{device} is too large for it', { device: device.name }),
  reason: (skimmerCase) =>
    sentence('{counted} It finds too little to hold a steady head of foam.{beside}', {
      counted: counted(skimmerCase),
      beside: beside(skimmerCase),
    }),
})
