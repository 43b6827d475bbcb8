import { sentence } from '../../quantity/index.ts'
import type { TankCase } from '../case/tank-case.ts'
import { LEAST_FREEBOARD_M } from '../limits.ts'
import { holdsFor, rule } from '../rule.ts'

/** So little is none, m (choice). */
const AS_GOOD_AS_OVER_M = 0.001

/** Distance from the running level to the rim, beside ripples and a surge. */
export const littleFreeboard = rule({
  code: 'little-freeboard',
  station: 'tank',
  severities: ['stop', 'watch'],
  holds: 'The running level is nearer to the rim than ripples and a surge need.',
  condition: ({ solved: { freeboardM } }: TankCase) =>
    holdsFor(freeboardM > 0 && freeboardM < LEAST_FREEBOARD_M),
  severity: ({ solved }) => (solved.freeboardM < AS_GOOD_AS_OVER_M ? 'stop' : 'watch'),
  title: ({ words, solved }) =>
    sentence('{where}Only {left} below the rim', {
      where: words,
      left: ['length', solved.freeboardM],
    }),
  reason: () =>
    sentence('Ripples and a surge after a restart reach the rim. Leave {least} or more.', {
      least: ['length', LEAST_FREEBOARD_M],
    }),
})
