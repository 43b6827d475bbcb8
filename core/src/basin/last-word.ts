import type { BasinDesign } from '../design/index.ts'
import { allDrills, canDrill, type Drill, drillVerdict, type Verdict } from '../drill/index.ts'
import { type DrilledCode, drilledFinding, type Finding, bySeverity } from '../finding/index.ts'
import type { AskDrills } from '../fix/index.ts'
import { type BlockedRow, type Judged, leftByDrill } from '../judge/index.ts'
import { type SteadyState, steadyState } from '../loop/index.ts'
import { memoize } from '../numeric/index.ts'
import { solveBasin } from './solve.ts'
import type { SolvedBasin } from './solved-basin.ts'

/** Drills by their ids, as far as they are known. */
export type VerdictsById = ReadonlyMap<string, Verdict>

/** Questions that the steady state answers at once, and a drill more surely. */
const ASKED_OF_BOTH = /^(power-cut|power-back|blocked |joined |check-open |prime )/

/** The drills that have the last word on what the steady state knows already. */
export function drillsWithTheLastWord(design: BasinDesign): Drill[] {
  return canDrill(design) ? drillsAskedOfBoth(steadyState(design)) : []
}

function drillsAskedOfBoth(steady: SteadyState): Drill[] {
  if (!canDrill(steady.design)) return []
  return allDrills(steady).filter(({ id }) => ASKED_OF_BOTH.test(id))
}

/**
 * A solved design with the drills' word put in place of the steady one wherever they end otherwise.
 * The one place where that is done.
 */
export function withLastWord(solved: SolvedBasin, verdicts: VerdictsById): SolvedBasin {
  if (verdicts.size === 0) return solved
  return {
    ...solved,
    findings: drilledFindings(solved.findings, solved.overflows, verdicts),
    overflows: solved.overflows.map((overflow) => ({
      ...overflow,
      blocked: overflow.blocked.map((row) => drilledRow(row, verdicts)),
    })),
    sump: { ...solved.sump, outage: drilledOutage(solved.sump.outage, verdicts) },
  }
}

/** Solved with its drills run: for who can wait. */
export function solveWithLastWord(design: BasinDesign): SolvedBasin {
  return withLastWord(solveBasin(design), verdictsOf(steadyState(design)))
}

/** What fixes are tried by, beside the steady state. */
export const askDrills: AskDrills = ({ steady, overflows }, findings) => {
  const verdicts = verdictsOf(steady)
  const wet = [...verdicts].flatMap(([id, { outcome }]) => (outcome === 'wet' ? [id] : []))
  return { findings: drilledFindings(findings, overflows, verdicts), wet: new Set(wet) }
}

/** The drills with the last word, run once a steady state. */
const verdictsOf = memoize((steady: SteadyState): VerdictsById => {
  const verdicts = new Map<string, Verdict>()
  for (const drill of drillsAskedOfBoth(steady)) {
    verdicts.set(drill.id, drillVerdict(steady, drill))
  }
  return verdicts
})

type Overflows = SolvedBasin['overflows']

function drilledFindings(
  findings: readonly Finding[],
  overflows: Overflows,
  verdicts: VerdictsById,
): Finding[] {
  return bySeverity(
    findings.map((finding) => drilledFinding(finding, drillsOf(finding, overflows, verdicts))),
  )
}

/** A finding with its tank's rows, one pipe blocked in each. */
interface Asked {
  readonly finding: Finding
  readonly rows: readonly BlockedRow[]
}

const powerCut = () => ['power-cut']

/** Ids of the drills of each code's own question. */
const DRILLS_OF: Readonly<Record<DrilledCode, (asked: Asked) => readonly string[]>> = {
  'outage-held': powerCut,
  'outage-elsewhere': powerCut,
  'sump-too-small': powerCut,
  'siphon-may-not-start': () => ['power-back'],
  'blocked-pipe-held': ({ rows }) => rows.map(drillOfRow),
  'emergency-cannot-carry': ({ rows }) => rows.filter(({ carries }) => !carries).map(drillOfRow),
  'joined-drains': ({ finding: { drainId } }) => [`joined ${drainId}`],
  'check-valve-only-guard': ({ finding: { lineId } }) => [`check-open ${lineId}`],
  'hung-loses-prime': ({ finding: { tankId } }) => [`prime ${tankId}`],
}

/** What the drills of a finding's own question came to, as far as they were run. */
function drillsOf(finding: Finding, overflows: Overflows, verdicts: VerdictsById): Verdict[] {
  const own = overflows.find(({ tankId }) => tankId === finding.tankId)
  const rows = own?.blocked.filter(({ drainIds }) => drainIds.length === 1) ?? []
  const ids = DRILLS_OF[finding.code as DrilledCode]?.({ finding, rows }) ?? []
  return ids.flatMap((id) => verdicts.get(id) ?? [])
}

/** A join's row is drilled by the pipe that runs into the other. */
function drillOfRow({ drainIds }: BlockedRow): string {
  return drainIds.length === 1 ? `blocked ${drainIds[0]}` : `joined ${drainIds[1]}`
}

function drilledRow(row: BlockedRow, verdicts: VerdictsById): BlockedRow {
  const verdict = verdicts.get(drillOfRow(row))
  if (!verdict) return row
  const { outcome, marginM, spilledM3, said, tightestName } = verdict
  const held = row.verdict === 'stop' ? 'watch' : row.verdict
  const drilled = { outcome, marginM, marginOf: tightestName, spilledM3, said }
  return {
    ...row,
    verdict: outcome === 'wet' ? 'stop' : held,
    leftM: leftByDrill(row.leftM, drilled),
    drilled,
  }
}

type Outage = Judged['sump']['outage']

/** No line to draw on the glass where the drill of it ends wet. */
function drilledOutage(outage: Outage, verdicts: VerdictsById): Outage {
  const verdict = verdicts.get('power-cut')
  if (!outage || !verdict) return outage
  const { outcome, marginM, spilledM3, said, tightestName } = verdict
  const drilled = { outcome, marginM, marginOf: tightestName, spilledM3, said }
  return {
    ...outage,
    fillLineM: outcome === 'wet' && !outage.spills ? null : outage.fillLineM,
    leftM: leftByDrill(outage.leftM, drilled),
    drilled,
  }
}
