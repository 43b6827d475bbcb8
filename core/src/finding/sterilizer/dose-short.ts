import { sentence } from '../../quantity/index.ts'
import type { SterilizerCase } from '../case/device-case.ts'
import { factIf, rule } from '../rule.ts'
import { chosenTarget, doseWords, quotedWords } from './chosen-target.ts'

/** Dose at its flow and age, beside the chosen target's. */
export const doseShort = rule({
  code: 'dose-short',
  station: 'own',
  severities: ['watch'],
  holds: 'A sterilizer gives less than the dose that is quoted for its target.',
  condition: (sterilizerCase: SterilizerCase) => {
    const chosen = chosenTarget(sterilizerCase)
    return factIf(chosen && chosen.against.reaches !== 'reached' ? chosen : null)
  },
  title: ({ device }, chosen) =>
    sentence('{dose} is short of the dose for {organism}', doseWords(chosen, device.name)),
  reason: (_, chosen) =>
    sentence(
      '{most} is quoted; at {flow} it would get that.{inTheTank} Slow water gets the dose, fast water turns the tank over: the chart shows both.',
      quotedWords(chosen),
    ),
})
