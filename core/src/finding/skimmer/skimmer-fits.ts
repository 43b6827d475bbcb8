import { sentence } from '../../quantity/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'
import { holdsFor, rule } from '../rule.ts'
import { beside, counted } from './size-words.ts'

export const skimmerFits = rule({
  code: 'skimmer-fits',
  station: 'own',
  severities: ['fine'],
  holds: 'A skimmer suits the water and its load, by the school in force.',
  condition: ({ skimmer }: SkimmerCase) => holdsFor(skimmer.inForce.says === 'fits'),
  title: ({ device }) => sentence('{device} suits this water', { device: device.name }),
  reason: (skimmerCase) =>
    sentence('{counted}{beside}', { counted: counted(skimmerCase), beside: beside(skimmerCase) }),
})
