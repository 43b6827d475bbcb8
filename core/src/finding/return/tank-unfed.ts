import { byId } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { FeedCase } from '../case/feed-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const tankUnfed = rule({
  code: 'tank-unfed',
  station: 'return',
  severities: ['stop'],
  holds: 'No line ends in a tank.',
  condition: ({ feeding }: FeedCase) => holdsFor(feeding.length === 0),
  title: ({ whole, tank }) =>
    sentence('No line ends in {tank}', {
      tank: byId(whole.design.tanks, tank.tankId, 'tank').name,
    }),
  reason: () => sentence('Give a line its end there, or take the tank out.'),
})
