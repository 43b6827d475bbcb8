import {
  flowPast,
  flowsBack,
  flowShort,
  type LineCase,
  noFlowAtThisSpeed,
  ofLine,
  takeoffOffTarget,
  valveShut,
} from '../finding/index.ts'
import { sentence } from '../quantity/index.ts'
import { type FindingFixes, fixesFor } from './finding-fix.ts'
import { newValve, newValves, slower, throttled } from './flow/less-flow.ts'
import { moreFlow, openedValves } from './flow/more-flow.ts'
import { raisedEnd } from './line-end-fixes.ts'
import { givingFlow, isNearer, wishOfLine, wishOfTank } from './flow/wish.ts'
import type { Trials } from './trial.ts'

const reachLine = (line: LineCase, _: unknown, trials: Trials) => moreFlow(wishOfLine(line), trials)

/** What brings a flow to what is wanted of it. */
export const LINE_FLOW_FIXES: readonly FindingFixes[] = [
  fixesFor(valveShut, (line) => {
    const opened = openedValves(line)
    return opened ? [givingFlow(sentence('Open it'), opened.edits, ofLine(line))] : []
  }),
  fixesFor(noFlowAtThisSpeed, (line, fact, trials) => [
    ...reachLine(line, fact, trials),
    ...newValves(line.whole, trials),
  ]),
  fixesFor(flowsBack, (line, fact, trials) => [
    ...reachLine(line, fact, trials),
    ...raisedEnd(line).map(({ label, edits }) => givingFlow(label, edits, ofLine(line))),
    ...newValves(line.whole, trials),
  ]),
  fixesFor(
    flowShort,
    (feed, _, trials) => [...moreFlow(wishOfTank(feed), trials), ...newValves(feed.whole, trials)],
    { helps: (feed, _, after) => isNearer(wishOfTank(feed), after) },
  ),
  fixesFor(
    flowPast,
    (feed, _, trials) => {
      const wish = wishOfTank(feed)
      // Slowing the pump would starve the other tanks: a valve first, where there are any.
      return feed.whole.tanks.length > 1
        ? [...throttled(wish), ...newValve(feed, trials), ...slower(wish)]
        : [...slower(wish), ...newValve(feed, trials)]
    },
    { helps: (feed, _, after) => isNearer(wishOfTank(feed), after) },
  ),
  fixesFor(
    takeoffOffTarget,
    (line, { off, wantedM3PerS }, trials) => {
      const wish = wishOfLine(line, wantedM3PerS)
      // Slowing the pump for one takeoff would starve the tank: only its valve is turned.
      return off < 0 ? moreFlow(wish, trials) : throttled(wish)
    },
    {
      helps: (line, { wantedM3PerS }, after) => isNearer(wishOfLine(line, wantedM3PerS), after),
    },
  ),
]
