import { sentence } from '../../quantity/index.ts'
import type { SterilizerCase } from '../case/device-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** Output falls with its hours; past the rated ones it counts for less. */
export const lampOld = rule({
  code: 'lamp-old',
  station: 'own',
  severities: ['watch'],
  holds: 'A lamp has run its rated hours.',
  condition: ({ sterilizer }: SterilizerCase) => holdsFor(sterilizer.lampLeftS <= 0),
  title: ({ device }) =>
    sentence('The lamp of {device} is past its hours', { device: device.name }),
  reason: ({ sterilizer }) =>
    sentence(
      'It gives {left} of its first light. It still glows blue long after it does its work: put in a new one, and look at the sleeve. Never look at a lit lamp: ultraviolet C hurts eyes and skin.',
      { left: ['share', sterilizer.ageing] },
    ),
})
