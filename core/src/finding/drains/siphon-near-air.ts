import type { Drain } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { rule } from '../rule.ts'
import { unmatched } from './siphon-cannot-match.ts'

const HELPS: Readonly<Record<Drain['inlet']['form'], string>> = {
  flush: 'A strainer or a turned-down elbow lets it run with less.',
  open: 'A strainer or a turned-down elbow lets it run with less.',
  strainer: 'The strainer helps; listen for it all the same.',
  'turned-down': 'The turned-down elbow helps; listen for it all the same.',
  capped: 'The cap helps; listen for it all the same.',
}

/** Water over a siphon's inlet beside what keeps a vortex from drawing air (hydraulics reference, §7). */
export const siphonNearAir = rule({
  code: 'siphon-near-air',
  station: 'drains',
  severities: ['watch'],
  holds: 'Less water stands over a siphon’s inlet than keeps a vortex away.',
  condition: (drainCase: DrainCase) => {
    const { drain, solved } = drainCase
    if (drain.role !== 'siphon' || solved.flowM3PerS <= 0 || solved.state === 'gulps') return []
    const leastM = solved.leastOverInletM ?? 0
    return unmatched(drainCase) || solved.overInletM >= leastM ? [] : [leastM]
  },
  title: ({ drain, solved }) =>
    sentence('{drain} has {over} of water over its inlet', {
      drain: drain.name,
      over: ['length', solved.overInletM],
    }),
  reason: ({ drain }, leastM) =>
    sentence(
      'An open pipe wants {least} so that no vortex draws air; many boxes run with less. {word}',
      { word: HELPS[drain.inlet.form], least: ['length', leastM] },
    ),
})
