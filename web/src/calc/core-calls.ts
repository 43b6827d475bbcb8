import {
  balance,
  building,
  choosing,
  fixesOfDrill,
  fixesOfFinding,
  playDrill,
  ratedNeed,
  size,
  solveBasin,
  starting,
  steadyState,
  swaps,
  drillVerdict,
  type BalanceOption,
  type BasinDesign,
  type ChamberUse,
  type Drill,
  type Finding,
  type DevicePart,
  type FlowTarget,
  type OfferedFixes,
  type Playback,
  type PumpPart,
  type RatedNeed,
  type SizingAnswer,
  type SizingWish,
  type Swap,
  type Verdict,
  editing,
  type Solved,
} from '@yew-basin/core'

/** The design that was sent last: what is asked is asked of it, and it is brought to rest once. */
let held: BasinDesign | null = null
function design(): BasinDesign {
  if (!held) throw new Error('no design was sent to this worker')
  return held
}

/** Core's long work, off the page's thread. */
export const coreCalls = {
  hold(next: BasinDesign): void {
    held = next
  },
  /** What to buy, cut and drill of the design. */
  sheet: (): building.BuildSheet => building.sheetOf(design(), solveBasin(design())),
  /** A run, a sub-assembly or all of it as a pipe fitter draws it. */
  isometric: (of: building.IsometricOf, turn: building.Turn): building.Isometric =>
    building.isometricOf(design(), of, turn),
  /** All that is printed: each run, each sub-assembly of several joints, and the whole from two sides. */
  isometrics: (): building.TitledIsometric[] => building.isometricsOf(design()),
  /** What is found of it as it is built. */
  buildFindings: (): Finding[] => building.buildFindings(design()),
  balance: (targets: readonly FlowTarget[], pumpIndex: number): BalanceOption[] =>
    balance(design(), targets, pumpIndex),
  size: (
    wish: Omit<SizingWish, 'design'>,
    progress: (done: number, of: number) => void,
  ): SizingAnswer => size({ ...wish, design: design() }, () => crypto.randomUUID(), progress),
  drills: (drills: readonly Drill[]): Verdict[] =>
    drills.map((drill) => drillVerdict(steadyState(design()), drill)),
  play: (drill: Drill): Playback => playDrill(steadyState(design()), drill),
  fixesOfFinding: (finding: Finding, progress: (done: number, of: number) => void): OfferedFixes =>
    fixesOfFinding(design(), finding, progress),
  fixesOfDrill: (drill: Drill, verdict: Verdict): OfferedFixes['fixes'] =>
    fixesOfDrill(design(), drill, verdict),
  swaps: (shelf: readonly PumpPart[], placedId: string): Swap[] => swaps(design(), shelf, placedId),
  comparePumps: (
    placedId: string,
    chosen: readonly { readonly part: PumpPart; readonly speed: number }[],
  ): choosing.PumpComparison => choosing.comparePumps(design(), placedId, chosen),
  sterilizers: (deviceId: string, parts: readonly DevicePart[]): choosing.SterilizerCandidate[] =>
    choosing.sterilizerCandidates(design(), deviceId, parts),
  ratedNeed: (line: Solved<'line'>, wantedM3PerS: number): RatedNeed | null =>
    ratedNeed(design(), line, wantedM3PerS),
  /** A whole loop for a keeper's answers, its stops fixed without touching them. */
  startDesign: (
    answers: starting.StartAnswers,
    shelf: readonly PumpPart[],
    progress: (done: number, of: number) => void,
  ): BasinDesign => starting.withoutStops(starting.startDesign(answers, shelf), progress),
  layouts: (layouts: readonly (readonly ChamberUse[])[]): editing.TriedLayout[] =>
    layouts.map((uses) => editing.tryLayout(design(), design().sump.box!, uses)),
}
export type CoreCalls = typeof coreCalls
