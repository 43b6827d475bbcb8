import { sentence } from '../../quantity/index.ts'
import type { SterilizerCase } from '../case/device-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** A lamp without water past it boils what stands in it. */
export const lampWithoutFlow = rule({
  code: 'lamp-without-flow',
  station: 'own',
  severities: ['stop'],
  holds: 'No water passes a sterilizer.',
  condition: ({ sterilizer }: SterilizerCase) => holdsFor(sterilizer.flowM3PerS <= 0),
  title: ({ device }) => sentence('No water passes {device}', { device: device.name }),
  reason: ({ device }) =>
    sentence(
      device.lineId === null
        ? 'Say which line it is in. A lit lamp in standing water overheats it: never switch it on without flow.'
        : 'Its line carries nothing. A lit lamp in standing water overheats it: never switch it on without flow.',
    ),
})
