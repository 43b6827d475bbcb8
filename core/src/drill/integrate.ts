import { writeOver, zeros } from '../numeric/index.ts'
import type { Law } from './rates.ts'
import { Stepper } from './step.ts'
import { levelsOf, type Vessel } from './vessel.ts'

/** Something that happens when a figure of the system reaches zero from below. */
export interface EventDetector {
  readonly name: string
  /** Negative while it has not happened. */
  readonly value: (levels: number[], timeS: number) => number
  /** It may happen and be over within one step: once its value is this near to nil, a step is looked at on its way too. */
  readonly nearM?: number
}

/** How far levels are over a height at which some law begins or ends, m: a step ends there, so that none passes it unseen. */
export type Mark = (levels: number[]) => number

/** An interval of time in which nothing is switched. */
export interface Interval {
  readonly vessels: readonly Vessel[]
  readonly laws: readonly Law[]
  readonly detectors: readonly EventDetector[]
  readonly marks?: readonly Mark[]
  readonly fromS: number
  readonly toS: number
  /** Each step that would do is taken as so many equal ones: 2 to see what halving it moves. */
  readonly stepsForOne?: number
  /** Called after every step, and where the interval begins. */
  readonly seen: (timeS: number, volumes: number[], levels: number[]) => void
}

/** How an interval ended. */
export interface IntervalEnd {
  readonly timeS: number
  /** What ended it; null: its time was up, or nothing moved any more. */
  readonly detector: EventDetector | null
  readonly atRest: boolean
  readonly steps: number
}

/** What a step may be off by, m of level. */
const TOLERANCE_M = 1e-6
const FIRST_STEP_S = 0.01
const LEAST_STEP_S = 1e-7
/** A level that moves slower than this is at rest: 0.1 mm in a month, m/s. */
const AT_REST_M_PER_S = 4e-11
/** and so is one that would move no further than this in all the time that is left, m. */
const REST_OF_TIME_M = 1e-5
/** A watch's moment is found to this, s. */
const MOMENT_S = 1e-5
/** A level this near to a mark stands on it, m. */
const ON_MARK_M = 1e-9
/** A level that passes marks more often than this is let be. */
const MOST_MARKS = 1000
/** Where on its way a step is looked at, and at its end. */
const LOOKED_AT = [0.25, 0.5, 0.75, 1]
/** No run takes more steps than this. */
const MOST_STEPS = 30_000

/** Lets water flow until a detector fires, the time is up or all is at rest; `volumes` is moved in place. */
export function integrate(volumes: number[], interval: Interval): IntervalEnd {
  const { vessels, laws, detectors, marks = [], toS, seen, stepsForOne = 1 } = interval
  const stepper = new Stepper(vessels, laws)
  const levels = zeros(vessels.length)
  const next = zeros(vessels.length)
  const nextLevels = zeros(vessels.length)
  let timeS = interval.fromS
  let stepS = FIRST_STEP_S
  let steps = 0
  let marksMet = 0
  levelsOf(vessels, volumes, levels)
  seen(timeS, volumes, levels)
  const fired = detectors.find((detector) => detector.value(levels, timeS) >= 0)
  if (fired) return { timeS, detector: fired, atRest: false, steps }
  while (toS - timeS > MOMENT_S && steps < MOST_STEPS) {
    stepper.begin(volumes)
    if (isAtRest(stepper, toS - timeS)) return { timeS: toS, detector: null, atRest: true, steps }
    const tookS = tryStep(stepper, volumes, Math.min(stepS, toS - timeS), next)
    stepS = nextStep(tookS, stepper.offM)
    let movedS = tookS / stepsForOne
    if (stepsForOne > 1) stepper.step(volumes, movedS, next)
    levelsOf(vessels, next, nextLevels)
    if (isNear(detectors, nextLevels, timeS + movedS)) {
      const wholeS = movedS
      for (const share of LOOKED_AT) {
        movedS = share * wholeS
        stepper.step(volumes, movedS, next)
        levelsOf(vessels, next, nextLevels)
        if (isOver(detectors, nextLevels, timeS + movedS)) break
      }
    }
    const firing = detectors.filter((detector) => detector.value(nextLevels, timeS + movedS) >= 0)
    if (marksMet < MOST_MARKS) addPassed(marks, levels, nextLevels, firing)
    const first =
      firing.length > 0
        ? firstOf(stepper, volumes, { detectors: firing, timeS, stepS: movedS })
        : null
    if (first) {
      movedS = first.afterS
      stepper.step(volumes, movedS, next)
      levelsOf(vessels, next, nextLevels)
    }
    writeOver(volumes, next)
    writeOver(levels, nextLevels)
    timeS += movedS
    steps++
    seen(timeS, volumes, levels)
    if (first && first.detector.name !== MARK) {
      return { timeS, detector: first.detector, atRest: false, steps }
    }
    if (first) marksMet++
  }
  return { timeS, detector: null, atRest: false, steps }
}

function isNear(detectors: readonly EventDetector[], levels: number[], timeS: number): boolean {
  return detectors.some(({ value, nearM }) => {
    if (nearM === undefined) return false
    const off = value(levels, timeS)
    return off < 0 && off > -nearM
  })
}

function isOver(detectors: readonly EventDetector[], levels: number[], timeS: number): boolean {
  return detectors.some(({ value, nearM }) => nearM !== undefined && value(levels, timeS) >= 0)
}

const MARK = 'a mark'

/** Adds every mark that a level passed, whichever way, as something to be found. */
function addPassed(
  marks: readonly Mark[],
  before: number[],
  after: number[],
  firing: EventDetector[],
): void {
  for (const mark of marks) {
    const wasOver = mark(before)
    if (Math.abs(wasOver) <= ON_MARK_M || wasOver > 0 === mark(after) > 0) continue
    const up = wasOver < 0 ? 1 : -1
    firing.push({ name: MARK, value: (levels) => up * mark(levels) })
  }
}

function isAtRest({ rates, vessels }: Stepper, leftS: number): boolean {
  const mostMPerS = Math.max(AT_REST_M_PER_S, REST_OF_TIME_M / leftS)
  for (let i = 0; i < rates.length; i++) {
    if (Math.abs(rates[i]!) > mostMPerS * vessels[i]!.areaM2) return false
  }
  return true
}

/** The longest step up to this one that does; writes where it leads. */
function tryStep(stepper: Stepper, from: number[], wantedS: number, into: number[]): number {
  let stepS = wantedS
  for (;;) {
    stepper.step(from, stepS, into)
    if (stepper.offM <= TOLERANCE_M || stepS <= LEAST_STEP_S) return stepS
    stepS = Math.max(
      LEAST_STEP_S,
      stepS * Math.max(0.1, 0.8 * Math.cbrt(TOLERANCE_M / stepper.offM)),
    )
  }
}

function nextStep(tookS: number, offM: number): number {
  const grow = offM > 0 ? 0.85 * Math.cbrt(TOLERANCE_M / offM) : 4
  return tookS * Math.min(4, Math.max(0.3, grow))
}

/** A detector, and how far into a step it fires. */
interface Struck {
  readonly detector: EventDetector
  readonly afterS: number
}

/** The detector that fires first within a step, and when, by halving with a secant's help (Illinois). */
function firstOf(
  stepper: Stepper,
  from: number[],
  {
    detectors,
    timeS,
    stepS,
  }: {
    readonly detectors: readonly EventDetector[]
    readonly timeS: number
    readonly stepS: number
  },
): Struck {
  const at = zeros(from.length)
  const levels = zeros(from.length)
  const valueAfter = (detector: EventDetector, afterS: number) => {
    stepper.step(from, afterS, at)
    levelsOf(stepper.vessels, at, levels)
    return detector.value(levels, timeS + afterS)
  }
  let found: Struck | null = null
  for (const detector of detectors) {
    const latestS: number = found ? found.afterS : stepS
    levelsOf(stepper.vessels, from, levels)
    let low = 0
    let lowValue = detector.value(levels, timeS)
    let high = latestS
    let highValue = valueAfter(detector, latestS)
    if (highValue < 0) continue
    for (let i = 0; i < 60 && high - low > MOMENT_S; i++) {
      const secant = low + ((high - low) * -lowValue) / (highValue - lowValue)
      const inside = i % 3 < 2 && secant > low && secant < high
      const middle = inside ? secant : (low + high) / 2
      const value = valueAfter(detector, middle)
      if (value >= 0) {
        high = middle
        highValue = value
        lowValue /= 2
      } else {
        low = middle
        lowValue = value
        highValue /= 2
      }
    }
    found = { detector, afterS: high }
  }
  return found!
}
