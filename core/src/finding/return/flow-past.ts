import { sentence } from '../../quantity/index.ts'
import { againstWanted, type FeedCase, isFed } from '../case/feed-case.ts'
import { PAST_SHARE } from '../limits.ts'
import { holdsFor, rule } from '../rule.ts'

/** A tank that gets more than its wanted flow by the share in `limits`. */
export const flowPast = rule({
  code: 'flow-past',
  station: 'return',
  severities: ['watch'],
  holds: 'A tank gets far more than is wanted for it.',
  condition: (feed: FeedCase) =>
    holdsFor(isFed(feed) && feed.tank.flowM3PerS > (1 + PAST_SHARE) * feed.tank.wantedFlowM3PerS),
  title: (feed) => sentence('{where}The flow is {off} past what you want', againstWanted(feed)),
  reason: (feed) =>
    sentence(
      '{flow} against {wanted}: power and noise for nothing, and more for the drains to carry.',
      againstWanted(feed),
    ),
})
