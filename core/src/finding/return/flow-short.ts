import { sentence } from '../../quantity/index.ts'
import { againstWanted, type FeedCase, isFed } from '../case/feed-case.ts'
import { meetsWanted, STOP_SHARE } from '../limits.ts'
import { holdsFor, rule } from '../rule.ts'

/** A tank under its wanted flow by more than `limits` lets pass; far under it is a stop. */
export const flowShort = rule({
  code: 'flow-short',
  station: 'return',
  severities: ['stop', 'watch'],
  holds: 'A tank gets less than is wanted for it.',
  condition: (feed: FeedCase) =>
    holdsFor(isFed(feed) && !meetsWanted(feed.tank.flowM3PerS, feed.tank.wantedFlowM3PerS)),
  severity: ({ tank }) => (tank.flowM3PerS < STOP_SHARE * tank.wantedFlowM3PerS ? 'stop' : 'watch'),
  title: (feed) => sentence('{where}The flow falls {off} short', againstWanted(feed)),
  reason: (feed) => sentence('{flow} reaches {at} and you want {wanted}.', againstWanted(feed)),
})
