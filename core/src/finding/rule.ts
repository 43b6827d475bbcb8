import type { Sentence } from '../quantity/index.ts'
import type { FindingCode } from './codes.ts'
import type { Finding, Where } from './finding.ts'
import type { Station, Severity } from './severity.ts'

/** Something a rule can be asked about: a tank, a line, a drain, the whole design. */
export interface Case {
  /** What a finding of it is about, where its rule says no more. */
  readonly where: Partial<Where>
  /** The station at which this case is designed, for rules that hold at more than one. */
  readonly station?: Station
}

/** What can be said of a rule without asking it. */
export interface RuleWords {
  readonly code: FindingCode
  /** Where it is said; 'own': at the station of the case it is asked about. */
  readonly station: Station | 'own'
  /** Every severity it can have, worst first. */
  readonly severities: readonly Severity[]
  /** When it holds, in a sentence. */
  readonly holds: string
}

/**
 * One thing that can be found of a design: when it holds and how it is said. What fixes it is known
 * above (`fix`).
 */
export interface RuleText<Of extends Case, Fact> extends RuleWords {
  /** What it holds for, once for each; none: it does not hold. */
  readonly condition: (of: Of) => readonly Fact[]
  /** Which of its severities; left out: it has one. */
  readonly severity?: ((of: Of, fact: Fact) => Severity) | undefined
  /** What is so. */
  readonly title: (of: Of, fact: Fact) => Sentence
  /** Why it is so. */
  readonly reason: (of: Of, fact: Fact) => Sentence
  /** What it is about beyond its case. */
  readonly where?: ((of: Of, fact: Fact) => Partial<Where>) | undefined
}

/** One thing that a rule holds for. */
export interface Occurrence {
  readonly finding: Finding
  readonly rule: RuleWords
  /** The case and the fact it was found of, for the rule's own fixes. */
  readonly of: unknown
  readonly fact: unknown
}

/** Rules that can be asked about a case. */
export interface Asked<Of> {
  readonly rules: readonly RuleWords[]
  /** Adds what is found of a case to a list. */
  readonly ask: (of: Of, found: Occurrence[]) => void
}

/** A rule that is ready to be asked. */
export interface Rule<Of extends Case, Fact> extends RuleText<Of, Fact>, Asked<Of> {}

/** A rule as it is written, made ready to be asked; its types follow from its condition. */
export function rule<Of extends Case, Fact>(text: RuleText<Of, Fact>): Rule<Of, Fact> {
  const rules: RuleWords[] = []
  const { condition } = text
  // All rules have one shape, whatever each leaves out: hundreds are asked with every keystroke.
  const made: Rule<Of, Fact> = {
    code: text.code,
    station: text.station,
    severities: text.severities,
    holds: text.holds,
    condition,
    severity: text.severity,
    title: text.title,
    reason: text.reason,
    where: text.where,
    rules,
    ask: (of, found) => addFound(made, of, found),
  }
  rules.push(made)
  return made
}

/** Adds what a rule finds of a case. */
function addFound<Of extends Case, Fact>(made: Rule<Of, Fact>, of: Of, found: Occurrence[]): void {
  const facts = made.condition(of)
  for (let i = 0; i < facts.length; i++) addOccurrence(made, of, facts[i]!, found)
}

/** Adds what is said of a case by one fact of it. */
export function addOccurrence<Of extends Case, Fact>(
  made: Rule<Of, Fact>,
  of: Of,
  fact: Fact,
  found: Occurrence[],
): void {
  found.push({ finding: findingOf(made, of, fact), rule: made, of, fact })
}

/** Rules asked one after the other about each of the cases that another holds. */
export function each<Of, Inner>(
  cases: (of: Of) => readonly Inner[],
  ...asked: readonly Asked<Inner>[]
): Asked<Of> {
  const asks = asked.map((one) => one.ask)
  // Most are rules that find nothing: they are asked here, without a call between.
  const made = asked.map((one) => (isMade(one) ? one : null))
  return {
    rules: asked.flatMap(({ rules }) => rules),
    ask: (of, found) => {
      const held = cases(of)
      for (let c = 0; c < held.length; c++) {
        const inner = held[c]!
        for (let a = 0; a < asks.length; a++) {
          const own = made[a]
          if (own) addFound(own, inner as Inner & Case, found)
          else asks[a]!(inner, found)
        }
      }
    },
  }
}

/** Is it a rule itself, and no list of them? Its cases are then such as rules are asked about. */
export const isMade = <Inner>(
  asked: Asked<Inner>,
): asked is Asked<Inner> & Rule<Inner & Case, unknown> => 'condition' in asked

/** A condition that holds for a case as a whole, or not at all. */
export const holdsFor = (holds: boolean): readonly true[] => (holds ? WHOLE : NONE)
const WHOLE: readonly true[] = [true]
const NONE: readonly true[] = []

/** The only one of a list of facts that may be missing. */
export const factIf = <Fact>(fact: Fact | null | undefined | false): readonly Fact[] =>
  fact === null || fact === undefined || fact === false ? [] : [fact]

/** A rule that says no more of its place than its case does. */
const NOWHERE_ELSE: Partial<Where> = {}

function findingOf<Of extends Case, Fact>(
  { code, station, severities, severity, title, reason, where }: Rule<Of, Fact>,
  of: Of,
  fact: Fact,
): Finding {
  const own = where === undefined ? NOWHERE_ELSE : where(of, fact)
  const about = of.where
  return {
    code,
    severity: severity?.(of, fact) ?? severities[0]!,
    station: station === 'own' ? of.station! : station,
    title: title(of, fact),
    reason: reason(of, fact),
    tankId: own.tankId ?? about.tankId ?? null,
    lineId: own.lineId ?? about.lineId ?? null,
    pieceId: own.pieceId ?? null,
    drainId: own.drainId ?? about.drainId ?? null,
    chamberId: own.chamberId ?? about.chamberId ?? null,
    deviceId: about.deviceId ?? null,
  }
}
