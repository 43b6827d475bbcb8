import {
  FIGURES,
  type FindingCode,
  everyWorking,
  type FigureOf,
  type EditData,
} from '@yew-basin/core/lab'
import type { BasinFile } from '@yew-basin/contract'
import {
  assuming,
  building,
  type KeyFigure,
  keyFigures,
  onDay,
  type Severity,
  type Station,
  type Working,
  fixesOfFinding,
  say,
  lastWord,
  swaps,
  workingOf,
  type BasinDesign,
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

/** A figure the design is known by. */
export interface SpokenKeyFigure {
  readonly id: KeyFigure['id']
  readonly label: string
  readonly quantity: string
  readonly si: number | null
  readonly station: KeyFigure['station']
  readonly state: Severity
  readonly findingCode: FindingCode | null
  /** It hangs on a figure that the keeper has not given. */
  readonly restsOnAssumed: boolean
}

/** How a stop of the water's way stands. */
export interface SpokenStanding {
  readonly station: Station
  readonly state: assuming.StandingState
  /** The names of its figures that are assumed. */
  readonly assumed: readonly string[]
}

/** The working of one part's figure. */
export interface SpokenWorkingOfPart extends SpokenWorking {
  readonly figure: string
  readonly of: FigureOf
  /** Of the tank, line, drain, chamber or device; null: of the whole design. */
  readonly id: string | null
}

/** A solved design: every figure, finding and working of the screen. */
export interface SolvedDesign extends Omit<SolvedBasin, 'findings'> {
  readonly name: string
  readonly current: boolean
  readonly findings: readonly SpokenFinding[]
  /** What each pump the file carries would give in this run at full speed. */
  readonly pumpsInThisRun: readonly Swap[]
  /** What it is known by, each with its state and the code of the finding that gives it. */
  readonly keyFigures: readonly SpokenKeyFigure[]
  /** By the stops of the water's way. */
  readonly standings: readonly SpokenStanding[]
  /** By figure: of the whole design, and of the line and the tank it is known by. */
  readonly workings: Readonly<Record<string, SpokenWorking>>
  /** All of them, of every tank, line, drain, chamber and device. */
  readonly workingsOfParts: readonly SpokenWorkingOfPart[]
  /** null: not asked for (`--drills`). */
  readonly drills: SpokenDrills | null
  /** null: not asked for (`--currents`). */
  readonly currents: readonly SolvedCurrents[] | null
  /** null: not asked for (`--build`); its findings then stand among the findings. */
  readonly buildSheet: building.BuildSheet | null
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
  readonly build: boolean
  /** The day it is solved on (yyyy-mm-dd): lamps are as old as they are then. */
  readonly day: string
}

export function solvedFile(file: BasinFile, asked: Asked): SolvedFile {
  return {
    name: file.name,
    designs: file.designs.map(({ name, current, design: stored }) => {
      const design = onDay(stored, asked.day)
      const solved = lastWord.solveWithLastWord(design)
      return {
        name,
        current,
        ...solved,
        findings: [...solved.findings, ...(asked.build ? building.buildFindings(design) : [])].map(
          (finding) => spokenFinding(design, finding),
        ),
        pumpsInThisRun: swaps(design, design.pumps),
        keyFigures: keyFigures(solved).map(({ id, label, value, station, state, finding }) => ({
          id,
          label,
          quantity: value.quantity,
          si: finite(value.si),
          station,
          state,
          findingCode: finding?.code ?? null,
          restsOnAssumed: assuming.restsOnAssumed(design, id),
        })),
        standings: spokenStandings(design, solved.findings),
        workings: spokenWorkings(design, solved),
        workingsOfParts: everyWorking(design, solved).map(({ figure, of, id, working }) => ({
          figure,
          of,
          id,
          ...spokenWorking(working),
        })),
        drills: asked.drills ? spokenDrills(design) : null,
        currents: asked.currents ? solvedCurrents(design, solved) : null,
        buildSheet: asked.build ? building.sheetOf(design, solved) : null,
      }
    }),
  }
}

function spokenStandings(
  design: BasinDesign,
  findings: readonly Finding[],
): readonly SpokenStanding[] {
  return Object.entries(assuming.standings(design, findings)).map(
    ([station, { state, assumed }]) => ({
      station: station as Station,
      state,
      assumed: assumed.map(({ name }) => name),
    }),
  )
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

/** By figure: of the whole design, and of the line and tank it is known by. */
function spokenWorkings(design: BasinDesign, solved: SolvedBasin): Record<string, SpokenWorking> {
  return Object.fromEntries(
    FIGURES.flatMap((figure) => {
      const working = workingOf(figure, { design, solved })
      return working ? [[figure, spokenWorking(working)]] : []
    }),
  )
}

function spokenWorking(working: Working): SpokenWorking {
  return {
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
  }
}

/** JSON has no NaN: a figure that does not apply is null. */
function finite(si: number): number | null {
  return Number.isFinite(si) ? si : null
}
