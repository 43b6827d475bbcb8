import { sentence } from '../../quantity/index.ts'
import type { PumpCase } from '../case/pump-case.ts'
import { rule } from '../rule.ts'

/** Too little water over the inlet: a vortex may draw air; above the water it draws nothing else. */
export const pumpDrawsAir = rule({
  code: 'pump-draws-air',
  station: 'return',
  severities: ['stop', 'watch'],
  holds: 'Less water stands over a pump’s inlet than keeps a vortex from drawing air.',
  condition: ({ solved: { pump } }: PumpCase) =>
    pump.depthM === null || pump.depthM >= pump.leastDepthM
      ? []
      : [{ depthM: pump.depthM, leastM: pump.leastDepthM }],
  severity: (_, { depthM }) => (depthM <= 0 ? 'stop' : 'watch'),
  title: (_, { depthM }) =>
    depthM <= 0
      ? sentence('The pump’s inlet is above the water')
      : sentence('Only {depth} of water over the pump’s inlet', { depth: ['length', depthM] }),
  reason: (_, { leastM }) =>
    sentence(
      'At this flow {least} keeps a vortex from drawing air; many pumps run with less and are heard. A lower inlet, a strainer or a slower pump helps.',
      { least: ['length', leastM] },
    ),
})
