import { HARDLY_RUNS, kAt } from '../../fitting/index.ts'
import {
  endFlow,
  type LaidLine,
  type Layout,
  type PathPart,
  pathTo,
  pumpOf,
  type Segment,
} from '../../layout/index.ts'
import { memoizeWith } from '../../numeric/index.ts'
import { type SolvedFlows, tableLossM } from '../../network/index.ts'
import {
  boreAreaM2,
  boreOf,
  frictionFactor,
  regimeAt,
  reynolds,
  speedMPerS,
  velocityHeadM,
} from '../../pipe/index.ts'
import { leastSpeedBand, leastSpeedToLift } from '../../pump/index.ts'
import type { FrictionLoss, PieceLosses, PlacedPiece } from '../../run/index.ts'
import { type Banded, firstLink, fittingsMoves, frictionMoves, halfWidth } from './bands.ts'
import { pumpSlope } from './solve-pumps.ts'
import { jointsOn, teePassage } from './solve-joints.ts'
import type {
  LineStatus,
  SolvedLine,
  SolvedPiece,
  SolvedPump,
  SolvedStretch,
  TeePassage,
} from './solved.ts'

/** One line as it runs, with its way from the pump. */
export function solveLine(
  layout: Layout,
  lineIndex: number,
  banded: Banded,
  pumps: readonly SolvedPump[],
): SolvedLine {
  const laid = layout.lines[lineIndex]!
  const own = layout.segments[lineIndex]!
  const path = pathTo(layout, lineIndex)
  const laidPump = pumpOf(layout, lineIndex)
  const { flows } = banded.solution
  const along = (of: 'frictionM' | 'fittingsM') => (at: SolvedFlows) => sumAlong(path, at[of])
  const liftM = endHeadM(layout, laid, flows) - laidPump.sourceLevelM
  const pieces = solvePieces(layout, laid, own, flows)
  const fastest = fastestOf(pieces)
  const flowM3PerS = endFlow(layout, flows, lineIndex)
  const pumpLink = firstLink(layout, path[0]!.lineIndex)
  const slope = pumpSlope(laidPump, flows.flowsM3PerS[pumpLink]!)
  return {
    lineId: laid.line.id,
    status: statusOf(layout, path, {
      laid,
      flowM3PerS,
      unsettled: banded.solution.unsettledLinkId !== null,
    }),
    pump: pumps.find(({ placedId }) => placedId === laidPump.placed.id)!,
    flowM3PerS,
    flowBandM3PerS: halfWidth(banded, { flows: [{ link: own.at(-1)!.link, by: 1 }] }),
    startFlowM3PerS: flows.flowsM3PerS[own[0]!.link]!,
    hardlyRuns: hardlyRuns(flows, own[0]!.link, own.at(-1)!.link),
    liftM,
    frictionM: along('frictionM')(flows),
    frictionBandM: halfWidth(banded, frictionMoves(banded, path)),
    fittingsM: along('fittingsM')(flows),
    fittingsBandM: halfWidth(banded, fittingsMoves(banded, path, { link: pumpLink, slope })),
    leastSpeedToLift: leastSpeedToLift(laidPump.curve, liftM),
    leastSpeedBand: leastSpeedBand(laidPump.curve, liftM),
    fastestMPerS: fastest?.speedMPerS ?? 0,
    fastestBandMPerS: fastest ? speedBand(banded, laid, own, fastest) : 0,
    fastestPieceId: fastest?.pieceId ?? null,
    exitSpeedMPerS: speedMPerS(Math.abs(flowM3PerS), endBoreM(laid)),
    start: laid.start,
    mouth: laid.mouth,
    end: laid.end,
    toTank: laid.line.end.at === 'tank',
    pipeLengthM: laid.losses.reduce((sum, loss) => sum + (loss.friction?.lengthM ?? 0), 0),
    pieces,
    joints: jointsOn(layout, path, flows),
    stretches: solveStretches(layout, path, flows),
  }
}

/** Is a line's first or last link a leg that carries next to nothing of what passes its tee? */
function hardlyRuns({ tees }: SolvedFlows, first: number, last: number): boolean {
  for (let t = 0; t < tees.length; t++) {
    for (const { link, share } of tees[t]!.legs) {
      if ((link === first || link === last) && share > 0 && share < HARDLY_RUNS) return true
    }
  }
  return false
}

/** Along the way, counted with the flow: water that runs back loses head the other way. */
function sumAlong(path: readonly PathPart[], of: number[]): number {
  return path.reduce(
    (sum, part) => part.segments.reduce((within, { link }) => within + of[link]!, sum),
    0,
  )
}

function endHeadM({ problem }: Layout, laid: LaidLine, { headsM }: SolvedFlows): number {
  if (laid.endHeadM !== null) return laid.endHeadM
  const id = laid.end === 'tee' ? `tee ${laid.line.end.id}` : `end ${laid.line.id}`
  const headM = headsM[problem.nodes.findIndex((node) => node.id === id)]!
  // Behind a shut valve or a cap the head is not known: its own height stands for it.
  return Number.isNaN(headM) ? laid.mouth.zM : headM
}

function statusOf(
  { problem }: Layout,
  path: readonly PathPart[],
  {
    laid,
    flowM3PerS,
    unsettled,
  }: { readonly laid: LaidLine; readonly flowM3PerS: number; readonly unsettled: boolean },
): LineStatus {
  if (unsettled) return 'unsettled'
  if (laid.end === 'cap') return 'capped'
  if (flowM3PerS > 0) return 'flows'
  if (flowM3PerS < 0) return 'flows-back'
  const shut = path.some((part) => part.segments.some(({ link }) => problem.links[link]!.shut))
  return shut ? 'shut' : 'no-lift'
}

function endBoreM(laid: LaidLine): number {
  const last = laid.placed.at(-1)
  if (last?.piece.kind === 'nozzle') return last.piece.boreM
  return last?.boreAfterM ?? boreOf(laid.line.run.size).boreM
}

function fastestOf(pieces: readonly SolvedPiece[]): SolvedPiece | null {
  let fastest: SolvedPiece | null = null
  for (const piece of pieces) {
    if (piece.kind === 'nozzle') continue
    if (fastest === null || piece.speedMPerS > fastest.speedMPerS) fastest = piece
  }
  return fastest
}

/** How far the speed in a piece may be off: as the flow of its stretch. */
function speedBand(
  banded: Banded,
  { placed }: LaidLine,
  segments: readonly Segment[],
  { pieceId, boreM }: SolvedPiece,
): number {
  const at = placed.findIndex(({ piece }) => piece.id === pieceId)
  const own = segments.find(({ firstPiece, endPiece }) => at >= firstPiece && at < endPiece)
  return own ? halfWidth(banded, { flows: [{ link: own.link, by: 1 / boreAreaM2(boreM) }] }) : 0
}

function solvePieces(
  layout: Layout,
  laid: LaidLine,
  segments: readonly Segment[],
  flows: SolvedFlows,
): SolvedPiece[] {
  const pieces: SolvedPiece[] = []
  for (const { link, firstPiece, endPiece } of segments) {
    const pipe = new PipeAt(layout, flows.flowsM3PerS[link]!)
    for (let i = firstPiece; i < endPiece; i++) {
      const placed = laid.placed[i]!
      const tee = placed.piece.kind === 'tee' ? teePassage(layout, flows, placed.piece.id) : null
      pieces.push(solvePiece(pipe, placed, laid.losses[i]!, tee))
    }
  }
  return pieces
}

function solvePiece(
  pipe: PipeAt,
  { piece, from, to, boreBeforeM }: PlacedPiece,
  { friction, fittings, table, shut }: PieceLosses,
  tee: TeePassage | null,
): SolvedPiece {
  const { flowM3PerS } = pipe
  const flowing = flowM3PerS !== 0
  let boreM = boreBeforeM
  let fittingLossM = 0
  for (const fitting of fittings) {
    boreM = Math.min(boreM, fitting.boreM)
    const here = pipe.at(fitting.boreM)
    if (flowing) fittingLossM += kAt(fitting.loss, here.re) * here.head
  }
  const { speed, re, head } = pipe.at(boreM)
  const f = friction && flowing ? pipe.factor(friction) : null
  const frictionM = friction && f !== null ? ((f * friction.lengthM) / boreM) * head : 0
  const tableM = table ? tableLossM(table, flowM3PerS) : 0
  return {
    pieceId: piece.id,
    kind: piece.kind,
    from,
    to,
    flowM3PerS,
    boreM,
    speedMPerS: speed,
    reynolds: re,
    regime: regimeAt(re),
    frictionFactor: f,
    k: tee ? tee.k : friction || table || shut || !flowing ? null : fittingLossM / head,
    lossM: frictionM + fittingLossM + tableM + (tee?.lossM ?? 0),
    tee,
  }
}

function solveStretches(
  layout: Layout,
  path: readonly PathPart[],
  { flowsM3PerS }: SolvedFlows,
): SolvedStretch[] {
  const alike: { friction: FrictionLoss; lengthM: number; flow: number }[] = []
  for (const { link, friction, lengthM } of wallsOn(path, layout)) {
    const flow = flowsM3PerS[link]!
    const same = alike.find((known) => known.flow === flow && sameWall(known.friction, friction))
    if (same) same.lengthM += lengthM
    else alike.push({ friction, lengthM, flow })
  }
  return alike.map(({ friction, lengthM, flow }) => {
    const pipe = new PipeAt(layout, flow)
    const { speed, re, head } = pipe.at(friction.boreM)
    const f = flow === 0 ? 0 : pipe.factor(friction)
    return {
      boreM: friction.boreM,
      lengthM,
      speedMPerS: speed,
      reynolds: re,
      regime: regimeAt(re),
      frictionFactor: f,
      lossM: ((f * lengthM) / friction.boreM) * head,
    }
  })
}

/** The pipe along a way, alike pieces of a link together. A way is that of lines laid once: what is laid along it goes with it. */
const wallsOn = memoizeWith(
  (path: readonly PathPart[], { lines }: Layout) => {
    const walls: { link: number; friction: FrictionLoss; lengthM: number }[] = []
    for (const { lineIndex, segments } of path) {
      const { losses } = lines[lineIndex]!
      for (const { link, firstPiece, endPiece } of segments) {
        for (const { friction } of losses.slice(firstPiece, endPiece)) {
          if (!friction) continue
          const same = walls.find(
            (known) => known.link === link && sameWall(known.friction, friction),
          )
          if (same) same.lengthM += friction.lengthM
          else walls.push({ link, friction, lengthM: friction.lengthM })
        }
      }
    }
    return walls
  },
  () => true,
)

function sameWall(a: FrictionLoss, b: FrictionLoss): boolean {
  return a.boreM === b.boreM && a.roughnessM === b.roughnessM && a.factor === b.factor
}

/** A flow on a bore. */
interface AtBore {
  readonly speed: number
  readonly re: number
  readonly head: number
}

/** One flow in pipe: what it is on a bore, and its friction, worked out anew only when they change. */
class PipeAt {
  readonly #kinematicM2PerS: number
  #boreM = NaN
  #atBore: AtBore = { speed: 0, re: 0, head: 0 }
  #wall: FrictionLoss | null = null
  #factor = 0

  constructor(
    { water }: Layout,
    readonly flowM3PerS: number,
  ) {
    this.#kinematicM2PerS = water.kinematicM2PerS
  }

  at(boreM: number): AtBore {
    if (boreM !== this.#boreM) {
      const speed = speedMPerS(Math.abs(this.flowM3PerS), boreM)
      const re = reynolds(speed, boreM, this.#kinematicM2PerS)
      this.#atBore = { speed, re, head: velocityHeadM(speed) }
      this.#boreM = boreM
    }
    return this.#atBore
  }

  /** Darcy friction factor with its hose factor. */
  factor(friction: FrictionLoss): number {
    if (!this.#wall || !sameWall(this.#wall, friction)) {
      const { boreM, roughnessM, factor } = friction
      this.#factor = factor * frictionFactor(this.at(boreM).re, roughnessM / boreM)
      this.#wall = friction
    }
    return this.#factor
  }
}
