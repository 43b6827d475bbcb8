import type { BasinDesign } from '../design/index.ts'
import {
  alikeFinding,
  DRILLED_CODES,
  type Finding,
  occurrencesIn,
  sameFinding,
} from '../finding/index.ts'
import { findingDifferences, titlesOf } from './differences.ts'
import type { FindingCandidate, FindingFixes } from './finding-fix.ts'
import type { TriedFix } from './fix.ts'
import { inOne } from './lever/change.ts'
import { bringsTrouble, type Trial, type Trials } from './trial.ts'

/** So many fixes of a finding are offered at most (choice). */
const MOST_OFFERED = 4
/** So many changes that mend in the steady state have their drills run (choice). */
const MOST_DRILLED = 8
/** Of changes that don't do alone, so many are tried with so many others (choice). */
const MOST_FIRSTS = 8
const MOST_SECONDS = 12

/** How bad a design is: stops first, then watches. */
interface Badness {
  readonly stops: number
  readonly watches: number
}

/** How far a search is. */
export type TriesDone = (done: number, of: number) => void

interface Tried {
  readonly candidate: FindingCandidate
  readonly trial: Trial
  /** What it finds, without what its drills have yet to say. */
  readonly sure: readonly Finding[]
  readonly left: Badness
}

/** Looks for what mends one finding: alone, else two changes together. */
export class FixSearch {
  readonly #trials: Trials
  readonly #finding: Finding
  readonly #own: FindingFixes
  readonly #registry: readonly FindingFixes[]
  /** The steady state says it just so; else its drill made it what it is. */
  readonly #inSteady: boolean

  constructor(
    trials: Trials,
    finding: Finding,
    { own, registry }: { readonly own: FindingFixes; readonly registry: readonly FindingFixes[] },
  ) {
    this.#trials = trials
    this.#finding = finding
    this.#own = own
    this.#registry = registry
    this.#inSteady = trials.before.findings.some(
      (found) => sameFinding(found, finding) && found.severity === finding.severity,
    )
  }

  /** `progress` is told how many of the changes that mend have their drills run. */
  fixes(progress: TriesDone = () => undefined): TriedFix[] {
    const singles = this.#tried(this.#candidatesIn(this.#trials, this.#finding))
    const alone = this.#mending(singles, progress)
    if (alone.length > 0 || (this.#finding.severity !== 'stop' && this.#inSteady)) return alone
    return this.#mending(this.#pairs(singles), progress)
  }

  #candidatesIn(trials: Trials, finding: Finding): readonly FindingCandidate[] {
    const occurrence = occurrencesIn(trials.before.whole).find((found) =>
      sameFinding(found.finding, finding),
    )
    if (!occurrence) return []
    const own = this.#registry.find(({ rule }) => rule === occurrence.rule)
    return own?.candidates(occurrence, trials) ?? []
  }

  #tried(candidates: readonly FindingCandidate[]): Tried[] {
    const before = this.#trials.before.findings
    return candidates.map((candidate) => {
      const trial = this.#trials.of(candidate.edits)
      // A stop that a drill may take back is left to the drill.
      const sure = trial.findings.filter((found) => !isNewOpenStop(before, found))
      return { candidate, trial, sure, left: badnessOf(sure) }
    })
  }

  /** Each of the best alone with what mends what is then left. */
  #pairs(singles: readonly Tried[]): Tried[] {
    const firsts = [...singles].sort((a, b) => worse(a.left, b.left)).slice(0, MOST_FIRSTS)
    return firsts.flatMap(({ candidate: { label }, trial }) => {
      const first = { label, edits: trial.edits }
      const others = trial.findings.filter(
        (finding) => finding.severity === 'stop' && !sameFinding(finding, this.#finding),
      )
      const trials = this.#trials.after(trial)
      const seconds = [this.#finding, ...others]
        .flatMap((finding) => this.#candidatesIn(trials, finding))
        .slice(0, MOST_SECONDS)
      return this.#tried(
        seconds.map((second) => ({ ...inOne([first, second]), brings: second.brings })),
      )
    })
  }

  /** Those that mend and bring no new stop, in the steady state and then in their drills. */
  #mending(tried: readonly Tried[], progress: TriesDone): TriedFix[] {
    const fixes: TriedFix[] = []
    const seen = new Set<string>()
    const ordered = this.#ordered(tried)
    const most = Math.min(MOST_DRILLED, ordered.length)
    let drilled = 0
    for (const { candidate, trial, sure } of ordered) {
      if (fixes.length >= MOST_OFFERED || drilled >= MOST_DRILLED) break
      // What needs a drill's word to be none the worse is for where nothing else mends.
      const isOpen = sure.length < trial.findings.length
      if (isOpen && (fixes.length > 0 || this.#finding.severity !== 'stop')) continue
      const comesTo = butForIds(trial.given)
      if (seen.has(comesTo)) continue
      seen.add(comesTo)
      if (!sameWater(this.#trials.before.given, trial.given)) {
        progress(drilled++, most)
        if (!this.#holdsInDrills(trial)) continue
      }
      const { label, brings } = candidate
      const { gone, come } = this.#sideEffects(trial)
      fixes.push({
        label,
        brings: brings(trial),
        edits: trial.edits,
        gone: titlesOf(gone),
        come: titlesOf(come),
      })
    }
    return fixes
  }

  /** In the order in which they were thought of; what trades one watch for another comes last, and says so. */
  #ordered(tried: readonly Tried[]): readonly Tried[] {
    const before = this.#trials.before.findings
    const now = badnessOf(before)
    const helpful = tried.filter(({ trial, sure, left }) => {
      if (findingDifferences(before, sure).newStop || !this.#helps(trial)) return false
      if (this.#finding.severity !== 'stop') return left.stops <= now.stops
      return left.stops < now.stops + (this.#inSteady ? 0 : 1)
    })
    const isClean = ({ trial, sure, left }: Tried) =>
      (sure.length === trial.findings.length && worse(left, now) < 0) ||
      findingDifferences(before, trial.findings).come.length === 0
    return [...helpful.filter(isClean), ...helpful.filter((one) => !isClean(one))]
  }

  #helps(trial: Trial): boolean {
    if (!this.#inSteady) return true
    const occurrence = occurrencesIn(this.#trials.before.whole).find(({ finding }) =>
      sameFinding(finding, this.#finding),
    )
    return !occurrence || this.#own.helps(occurrence, this.#trials.before.whole, trial)
  }

  /** What comes and goes besides: by its drills where they were run. */
  #sideEffects(trial: Trial) {
    const { before } = this.#trials
    return sameWater(before.given, trial.given)
      ? findingDifferences(before.findings, trial.findings, this.#finding)
      : findingDifferences(before.drilled.findings, trial.drilled.findings, this.#finding)
  }

  #holdsInDrills(trial: Trial): boolean {
    const { before } = this.#trials
    if (bringsTrouble(before, trial)) return false
    const { findings } = trial.drilled
    if (!this.#inSteady && standsAs(findings, this.#finding) >= RANK[this.#finding.severity])
      return false
    if (this.#finding.severity !== 'stop') return true
    return badnessOf(findings).stops < badnessOf(before.drilled.findings).stops
  }
}

/** A design by all but what its things are numbered by: two changes one after the other may be the same two the other way round. */
const butForIds = (design: BasinDesign): string =>
  JSON.stringify(design, (key, held: unknown) => (key === 'id' ? undefined : held))

/** A stop that came with a change, of a question that its drill may answer otherwise. */
const isNewOpenStop = (before: readonly Finding[], found: Finding) =>
  found.severity === 'stop' &&
  DRILLED_CODES.has(found.code) &&
  !before.some((other) => other.severity === 'stop' && alikeFinding(other, found))

/** Is nothing changed that any water runs through or stands in? */
function sameWater(a: BasinDesign, b: BasinDesign): boolean {
  const wet = ({ sump: { devices, ...sump } }: BasinDesign) => [
    ...Object.values(sump),
    ...devices.filter(({ part }) => part.kind !== 'heater'),
  ]
  const [ours, others] = [wet(a), wet(b)]
  return (
    a.tanks === b.tanks &&
    a.drains === b.drains &&
    a.returnSide === b.returnSide &&
    ours.length === others.length &&
    ours.every((part, i) => part === others[i])
  )
}

const RANK = { fine: 0, watch: 1, stop: 2 } as const

/** How bad a finding still is; nil: it is gone. */
function standsAs(findings: readonly Finding[], finding: Finding): number {
  const same = findings.filter((other) => sameFinding(other, finding))
  return Math.max(0, ...same.map(({ severity }) => RANK[severity]))
}

function badnessOf(findings: readonly Finding[]): Badness {
  const of = (wanted: Finding['severity']) =>
    findings.filter(({ severity }) => severity === wanted).length
  return { stops: of('stop'), watches: of('watch') }
}

const worse = (a: Badness, b: Badness) => a.stops - b.stops || a.watches - b.watches
