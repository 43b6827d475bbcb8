import type { Drain } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { rule } from '../rule.ts'
import { unmatched } from './siphon-cannot-match.ts'

const HELPED: ReadonlySet<Drain['inlet']['form']> = new Set(['strainer', 'turned-down', 'capped'])

/** Water over a siphon's inlet beside what keeps a vortex from drawing air (hydraulics reference, §7). */
export const siphonNearAir = rule({
  code: 'siphon-near-air',
  station: 'drains',
  severities: ['watch'],
  holds: 'Less water stands over a siphon’s inlet than keeps a vortex away.',
  condition: (drainCase: DrainCase) => {
    const { drain, solved } = drainCase
    if (drain.role !== 'siphon' || solved.flowM3PerS <= 0 || solved.state === 'gulps') return []
    // Under a strainer, a cap or a turned-down elbow no vortex forms so soon: the figure stands beside it.
    if (HELPED.has(drain.inlet.form)) return []
    const leastM = solved.leastOverInletM ?? 0
    return unmatched(drainCase) || solved.overInletM >= leastM ? [] : [leastM]
  },
  title: ({ drain, solved }, leastM) =>
    sentence('{drain} may suck air: {over} of water over its inlet, {least} wanted', {
      drain: drain.name,
      over: ['length', solved.overInletM],
      least: ['length', leastM],
    }),
  reason: () =>
    sentence(
      'So much keeps a vortex from drawing air into an open pipe; many boxes run with less. A strainer or a turned-down elbow lets it.',
    ),
})
