import { sentence } from '../../quantity/index.ts'
import type { SterilizerCase } from '../case/device-case.ts'
import { factIf, rule } from '../rule.ts'
import { chosenTarget, doseValues, inTheTank } from './chosen-target.ts'

export const doseReached = rule({
  code: 'dose-reached',
  station: 'own',
  severities: ['fine'],
  holds: 'A sterilizer gives the dose that is quoted for its target.',
  condition: (sterilizerCase: SterilizerCase) => {
    const chosen = chosenTarget(sterilizerCase)
    return factIf(chosen?.against.reaches === 'reached' ? chosen : null)
  },
  title: ({ device }, chosen) =>
    sentence('{device} gives the dose for {organism}: {dose}', {
      ...doseValues(chosen),
      device: device.name,
    }),
  reason: (_, chosen) =>
    sentence(
      '{most} is quoted; it would do up to {flow}.{inTheTank} Quoted doses are no promise, and this is no treatment plan.',
      { ...doseValues(chosen), inTheTank: inTheTank(chosen) },
    ),
})
