import { sentence } from '../../quantity/index.ts'
import type { SterilizerCase } from '../case/device-case.ts'
import { factIf, rule } from '../rule.ts'
import { type ChosenTarget, chosenTarget, doseWords, quotedWords } from './chosen-target.ts'

/** A dose that its own band takes under what is quoted is no promise. */
const mayMiss = ({ target, doseJPerM2, doseBandJPerM2 }: ChosenTarget) =>
  doseJPerM2 - doseBandJPerM2 < target.mostJPerM2

const byItsBand = (chosen: ChosenTarget) =>
  mayMiss(chosen)
    ? sentence(' By its band it may give only {least}.', {
        least: ['dose', chosen.doseJPerM2 - chosen.doseBandJPerM2],
      })
    : sentence('')

export const doseReached = rule({
  code: 'dose-reached',
  station: 'own',
  severities: ['watch', 'fine'],
  holds: 'A sterilizer gives the dose that is quoted for its target.',
  condition: (sterilizerCase: SterilizerCase) => {
    const chosen = chosenTarget(sterilizerCase)
    return factIf(chosen?.against.reaches === 'reached' ? chosen : null)
  },
  severity: (_, chosen) => (mayMiss(chosen) ? 'watch' : 'fine'),
  title: ({ device }, chosen) =>
    sentence('{device} gives the dose for {organism}: {dose}', doseWords(chosen, device.name)),
  reason: (_, chosen) =>
    sentence(
      '{most} is quoted; it would do up to {flow}.{inTheTank}{band} Quoted doses are no promise, and this is no treatment plan.',
      quotedWords(chosen, byItsBand(chosen)),
    ),
})
