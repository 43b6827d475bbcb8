import { sentence } from '../../quantity/index.ts'
import { againstWanted, type FeedCase, isFed } from '../case/feed-case.ts'
import { meetsWanted, PAST_SHARE } from '../limits.ts'
import { holdsFor, rule } from '../rule.ts'

/** Said because it was asked: neither short nor past. */
export const flowAsWanted = rule({
  code: 'flow-as-wanted',
  station: 'return',
  severities: ['fine'],
  holds: 'A tank gets about what is wanted for it.',
  condition: (feed: FeedCase) =>
    holdsFor(
      isFed(feed) &&
        meetsWanted(feed.tank.flowM3PerS, feed.tank.wantedFlowM3PerS) &&
        feed.tank.flowM3PerS <= (1 + PAST_SHARE) * feed.tank.wantedFlowM3PerS,
    ),
  title: (feed) => sentence('{where}The flow is what you want', againstWanted(feed)),
  reason: (feed) => sentence('{flow} reaches {at}, against {wanted}.', againstWanted(feed)),
})
