import type { AgainstTarget } from '../figures/index.ts'
import {
  type ChosenTarget,
  DOSE_AIM,
  DOSE_NEAR_SHARE,
  doseReached,
  doseShort,
  type SterilizerCase,
} from '../finding/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'
import { slower, throttled } from './flow/less-flow.ts'
import { moreFlow } from './flow/more-flow.ts'
import { wishOfLine } from './flow/wish.ts'
import type { Trial, Trials } from './trial.ts'

/** What brings a sterilizer's dose to its target. */
export const STERILIZER_FIXES: readonly FindingFixes[] = [
  // A faster branch still gives the dose, and turns the tank over sooner.
  fixesFor(
    doseReached,
    ({ line }, { against }) => {
      const wantedM3PerS = DOSE_AIM * against.flowForItM3PerS
      if (!line || line.solved.flowM3PerS * (1 + DOSE_NEAR_SHARE) >= wantedM3PerS) return []
      return throttled(wishOfLine(line, wantedM3PerS))
    },
    { helps: (sterilizerCase, _, after) => stillReached(sterilizerCase, after) },
  ),
  fixesFor(
    doseShort,
    (sterilizerCase, { against }, trials) =>
      setForTarget(sterilizerCase, DOSE_AIM * against.flowForItM3PerS, trials),
    { helps: (sterilizerCase, chosen, after) => givesMore(sterilizerCase, chosen, after) },
  ),
]

function doseAfter({ device }: SterilizerCase, { whole }: Trial): AgainstTarget | null {
  const after = whole.treatment.sterilizers.find(({ deviceId }) => deviceId === device.id)
  const { targetId } = whole.design.treatment
  return after?.targets.find((row) => row.targetId === targetId) ?? null
}

const stillReached = (sterilizerCase: SterilizerCase, after: Trial) =>
  doseAfter(sterilizerCase, after)?.reaches === 'reached'

const givesMore = (sterilizerCase: SterilizerCase, { against }: ChosenTarget, after: Trial) =>
  (doseAfter(sterilizerCase, after)?.killPerPass ?? 0) > against.killPerPass

/** Pump speed or valve opening that brings a flow through the device's line. */
function setForTarget(
  { line }: SterilizerCase,
  wantedM3PerS: number,
  trials: Trials,
): FindingCandidate[] {
  if (!line || line.solved.flowM3PerS <= 0) return []
  const wish = wishOfLine(line, wantedM3PerS)
  if (wantedM3PerS > wish.nowM3PerS) return moreFlow(wish, trials)
  // A pump that feeds other lines too is not slowed for the lamp alone.
  const shared = line.design.returnSide.lines.some(
    ({ id, start }) => id !== line.laid.line.id && start.at === 'tee',
  )
  return line.laid.line.start.at === 'pump' && !shared ? slower(wish) : throttled(wish)
}
