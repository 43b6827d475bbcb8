import { sentence } from '../../quantity/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'
import { rule } from '../rule.ts'

/** More through it than through its chamber: it draws the same water twice. */
export const skimmerRecirculates = rule({
  code: 'skimmer-recirculates',
  station: 'own',
  severities: ['watch'],
  holds: 'A skimmer draws more than passes its chamber.',
  condition: ({ skimmer: { shareOfThroughflow: share } }: SkimmerCase) =>
    share === null || share <= 1 ? [] : [share],
  title: ({ device }) =>
    sentence('{device} takes more than passes its chamber', { device: device.name }),
  reason: ({ skimmer }, share) =>
    sentence(
      'It draws {flow}, {share} of what comes through: part of the water goes round in it twice. That wastes its pump, and harms nothing.',
      { flow: ['flow', skimmer.flowM3PerS], share: ['share', share] },
    ),
})
