import { sentence } from '../../quantity/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'
import { factIf, rule } from '../rule.ts'

/** A skimmer that stands in more or less water than its maker wants. */
export const skimmerDepthOff = rule({
  code: 'skimmer-depth',
  station: 'own',
  severities: ['watch'],
  holds: 'A skimmer stands in more or less water than it works in.',
  condition: ({ skimmer: { depth } }: SkimmerCase) =>
    factIf(depth && depth.says !== 'right' ? depth : null),
  title: ({ device }, depth) =>
    sentence(
      depth.says === 'deep'
        ? '{device} stands too deep: {depth}'
        : '{device} stands too shallow: {depth}',
      { device: device.name, depth: ['length', depth.depthM] },
    ),
  reason: (_, depth) =>
    sentence('It works in {least} to {most} of water. A stand raises it, a wall sets the water.', {
      least: ['length', depth.leastM],
      most: ['length', depth.mostM],
    }),
})
