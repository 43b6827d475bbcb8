import { sentence } from '../../quantity/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const skimmerWithoutWater = rule({
  code: 'skimmer-without-water',
  station: 'own',
  severities: ['stop'],
  holds: 'A skimmer stands in no chamber.',
  condition: ({ device }: SkimmerCase) => holdsFor(device.chamberId === null),
  title: ({ device }) => sentence('{device} works on no water', { device: device.name }),
  reason: () =>
    sentence('Say which chamber it draws from: its flow and its depth follow from that.'),
})
