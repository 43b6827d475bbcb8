import { sentence } from '../../quantity/index.ts'
import type { TankCase } from '../case/tank-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const waterOverRim = rule({
  code: 'water-over-rim',
  station: 'tank',
  severities: ['stop'],
  holds: 'The running level stands at or over the tank’s rim.',
  condition: ({ solved }: TankCase) => holdsFor(solved.freeboardM <= 0),
  title: ({ words }) => sentence('{where}The water stands over the rim', { where: words }),
  reason: ({ solved }) =>
    sentence('The level is {over} above the rim, so it is on the floor.', {
      over: ['length', -solved.freeboardM],
    }),
})
