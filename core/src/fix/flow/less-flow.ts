import { insertAt, setTo } from '../../design/index.ts'
import { holdFlows, openingFor, settingValve, valveLossM, valvePath } from '../../editing/index.ts'
import { type FeedCase, PAST_SHARE, type Whole } from '../../finding/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { FindingCandidate } from '../finding-fix.ts'
import { atSpeed, speedFor, speedWords, stepped } from './speed.ts'
import { freePieceId, piecesPath } from '../paths.ts'
import type { Trials } from '../trial.ts'
import { feedOf, givingFlow, type Wish, wishOfTank } from './wish.ts'

/** What brings the flow down to the wanted one: a slower pump, else a valve. */
export function slower(wish: Wish): FindingCandidate[] {
  const { part } = wish.line.pump
  if (part.control === 'controllable') {
    const found = speedFor(wish)
    if (found !== null && found >= part.leastSpeed) {
      const speed = stepped(found, Math.round)
      return [givingFlow(speedWords(speed), atSpeed(wish.line, speed), wish.place)]
    }
  }
  return throttled(wish)
}

/** A gate valve behind a line's last tee, turned to what its tank wants; none where it has one to turn. */
export function newValve(feed: FeedCase, trials: Trials): FindingCandidate[] {
  return newValveFor(feed, trials, 1)
}

/** Of what a tank gets beyond its wish, so much is turned away: all, or less where another tank could not pass it (choice). */
const TURNED_AWAY = [1, 0.7, 0.4] as const

/** The same for every tank that gets more than it wants; and less far, for a tank that could not carry all the rest. */
export function newValves(whole: Whole, trials: Trials): FindingCandidate[] {
  return TURNED_AWAY.flatMap((share) =>
    whole.tanks.flatMap(({ tankId, flowM3PerS, wantedFlowM3PerS }) => {
      const feed = flowM3PerS > (1 + PAST_SHARE) * wantedFlowM3PerS ? feedOf(whole, tankId) : null
      return feed ? newValveFor(feed, trials, share) : []
    }),
  )
}

function newValveFor(feed: FeedCase, trials: Trials, turnedAway: number): FindingCandidate[] {
  const wish = wishOfTank(feed)
  const { line } = wish
  const { laid, whole } = line
  if (settingValve(whole.layout, laid.index) || wish.nowM3PerS <= wish.wantedM3PerS) return []
  const at = laid.line.run.pieces.findLastIndex(({ kind }) => kind === 'tee') + 1
  const id = freePieceId(line, `${laid.line.id}-gate`)
  const open = [
    insertAt(piecesPath(line), at, { id, kind: 'valve', form: 'gate', opening: 1, kvM3PerH: null }),
  ]
  const after = feedOf(trials.of(open).whole, feed.tank.tankId)
  if (!after) return []
  const full = wishOfTank(after)
  const wantedM3PerS = full.nowM3PerS - turnedAway * (full.nowM3PerS - full.wantedM3PerS)
  const words =
    turnedAway === 1
      ? 'Put a gate valve in {line}, turned to what its tank wants'
      : 'Put a gate valve in {line}, turned to {flow}'
  return throttled({ ...full, wantedM3PerS }).map(({ edits, brings }) => ({
    label: sentence(words, { line: laid.line.name, flow: ['flow', wantedM3PerS] }),
    edits: [...open, ...edits],
    brings,
  }))
}

/** A tank's flow brought down to what is wanted of it, or to what passes where that is less. */
export function lessFlowTo(feed: FeedCase, mostM3PerS: number): FindingCandidate[] {
  const wish = wishOfTank(feed)
  const wanted = Math.min(mostM3PerS, wish.wantedM3PerS)
  if (wanted >= wish.nowM3PerS || wanted <= 0) return []
  return [
    ...slower({ ...wish, wantedM3PerS: wanted }),
    ...throttled({ ...wish, wantedM3PerS: wanted }),
  ]
}

/** The opening of the line's last throttling valve that brings the wanted flow. */
export function throttled({ line, place, nowM3PerS, wantedM3PerS }: Wish): FindingCandidate[] {
  const { layout } = line.whole
  const setting = settingValve(layout, line.laid.index)
  if (!setting || line.solved.flowM3PerS <= 0) return []
  // What a tank is to lose, this line loses; the tank's other lines take up a little of it.
  const target = line.solved.flowM3PerS - (nowM3PerS - wantedM3PerS)
  if (target <= 0) return []
  const held = holdFlows(layout, layout.problem.links, [{ link: setting.link, flowM3PerS: target }])
  const nowM = valveLossM(layout, setting, setting.valve.opening, target)
  const found = openingFor(layout, setting, nowM + held.extraLossM[0]!, target)
  const opening = Math.round(found * 1e4) / 1e4
  return [
    givingFlow(
      sentence('Turn the valve to {opening} open', { opening: ['share', opening] }),
      [setTo(valvePath(line.laid.index, setting.piece), opening)],
      place,
    ),
  ]
}
