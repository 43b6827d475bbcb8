import type { BasinFile } from '@yew-basin/contract'
import {
  FIGURES,
  fixesOfFinding,
  say,
  solveBasin,
  swaps,
  workingOf,
  type BasinDesign,
  type EditData,
  type Finding,
  type SolvedBasin,
  type Swap,
} from '@yew-basin/core'
import { solvedCurrents, type SolvedCurrents } from './solved-currents.ts'
import { spokenDrills, type SpokenDrills } from './spoken-drills.ts'

/** A finding with its sentences written out in metric units. */
export interface SpokenFinding extends Omit<Finding, 'title' | 'reason'> {
  readonly title: string
  readonly reason: string
  readonly fixes: readonly {
    readonly label: string
    readonly brings: string
    readonly edits: readonly EditData[]
  }[]
}

/** One line of a working, in SI. */
export interface SpokenTerm {
  readonly symbol: string
  readonly meaning: string
  readonly quantity: string
  /** In the quantity's SI unit; share as a fraction, turnover per hour, Kv in m³/h. */
  readonly si: number | null
}

/** How a figure came about, as the screen shows it when it is opened. */
export interface SpokenWorking {
  readonly title: string
  readonly quantity: string
  readonly si: number | null
  readonly bandSi: number | null
  readonly formula: string
  readonly filled: string
  readonly terms: readonly SpokenTerm[]
  readonly source: string
  readonly note: string
  readonly rules: readonly { readonly rule: string; readonly offBy: number | null }[]
}

/** A solved design: every figure, finding and working of the screen. */
export interface SolvedDesign extends Omit<SolvedBasin, 'findings'> {
  readonly name: string
  readonly current: boolean
  readonly findings: readonly SpokenFinding[]
  /** What each pump the file carries would give in this run at full speed. */
  readonly pumpsInThisRun: readonly Swap[]
  readonly workings: Readonly<Record<string, SpokenWorking>>
  /** null: not asked for (`--drills`). */
  readonly drills: SpokenDrills | null
  /** null: not asked for (`--currents`). */
  readonly currents: readonly SolvedCurrents[] | null
}

/** What the command prints. */
export interface SolvedFile {
  readonly name: string
  readonly designs: readonly SolvedDesign[]
}

/** What takes long is done when it is asked for. */
export interface Asked {
  readonly drills: boolean
  readonly currents: boolean
}

export function solvedFile(
  file: BasinFile,
  asked: Asked = { drills: false, currents: false },
): SolvedFile {
  return {
    name: file.name,
    designs: file.designs.map(({ name, current, design }) => {
      const solved = solveBasin(design)
      return {
        name,
        current,
        ...solved,
        findings: solved.findings.map((finding) => spokenFinding(design, finding)),
        pumpsInThisRun: swaps(design, design.pumps),
        workings: spokenWorkings(design, solved),
        drills: asked.drills ? spokenDrills(design) : null,
        currents: asked.currents ? solvedCurrents(design, solved) : null,
      }
    }),
  }
}

function spokenFinding(design: BasinDesign, finding: Finding): SpokenFinding {
  const { fixes, otherwise } = fixesOfFinding(design, finding)
  return {
    ...finding,
    title: say(finding.title, 'metric'),
    reason: [finding.reason, ...(otherwise ? [otherwise] : [])]
      .map((text) => say(text, 'metric'))
      .join(' '),
    fixes: fixes.map((fix) => ({
      label: say(fix.label, 'metric'),
      brings: say(fix.brings, 'metric'),
      edits: fix.edits,
    })),
  }
}

function spokenWorkings(design: BasinDesign, solved: SolvedBasin): Record<string, SpokenWorking> {
  return Object.fromEntries(
    FIGURES.map((figure) => {
      const working = workingOf(figure, design, solved)
      return [
        figure,
        {
          title: working.title,
          quantity: working.answer.quantity,
          si: finite(working.answer.si),
          bandSi: working.band ? finite(working.band.si) : null,
          formula: working.formula,
          filled: say(working.filled, 'metric'),
          terms: working.terms.map(({ symbol, meaning, value }) => ({
            symbol,
            meaning,
            quantity: value.quantity,
            si: finite(value.si),
          })),
          source: working.source,
          note: say(working.note, 'metric'),
          rules: working.rules.map(({ rule, offBy }) => ({ rule: say(rule, 'metric'), offBy })),
        },
      ]
    }),
  )
}

/** JSON has no NaN: a figure that does not apply is null. */
function finite(si: number): number | null {
  return Number.isFinite(si) ? si : null
}
