import { sentence } from '../../quantity/index.ts'
import type { PumpCase } from '../case/pump-case.ts'
import { rule } from '../rule.ts'

/** Past the printed points a curve is a guess; the band does not cover it. */
export const pastKnownCurve = rule({
  code: 'past-known-curve',
  station: 'return',
  severities: ['watch'],
  holds: 'A pump runs past the last point of its printed curve.',
  condition: ({ pump, solved }: PumpCase) => {
    const knownM3PerS = pump.curve.knownToM3PerS * pump.speed
    return solved.pump.stopped || solved.pump.flowM3PerS <= knownM3PerS ? [] : [knownM3PerS]
  },
  title: () => sentence('The pump runs past its printed curve'),
  reason: ({ solved }, knownM3PerS) =>
    sentence(
      'Its curve is known up to {known}; beyond, it is drawn straight on. Treat {flow} as a guess, or measure it.',
      {
        known: ['flow', knownM3PerS],
        flow: ['flow', solved.pump.flowM3PerS, solved.pump.flowBandM3PerS],
      },
    ),
})
