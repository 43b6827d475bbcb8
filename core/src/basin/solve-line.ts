import { kAt } from '../fitting/loss.ts'
import { reynolds, speedMPerS, velocityHeadM } from '../pipe/flow.ts'
import { frictionFactor, regimeAt } from '../pipe/friction.ts'
import { leastSpeedToLift } from '../pump/curve.ts'
import type { FrictionLoss } from '../run/losses.ts'
import { endFlow } from './ends.ts'
import type { LaidLine } from './layout/lay-lines.ts'
import { pathTo, pumpOf, type Layout, type PathPart } from './layout/layout.ts'
import { tableLossM } from '../network/laws.ts'
import { halfWidth, type Banded, type Running } from './running.ts'
import type { LineStatus, SolvedLine, SolvedPiece, SolvedPump, SolvedStretch } from './solved.ts'

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
  const { running } = banded.ran
  const flowAtEnd = (at: Running) => endFlow(layout, at, lineIndex)
  const along = (of: 'frictionM' | 'fittingsM') => (at: Running) => sumAlong(path, at[of])
  const liftM = endHeadM(layout, laid, running) - laidPump.sourceLevelM
  const pieces = own.flatMap((segment) =>
    laid.placed
      .slice(segment.firstPiece, segment.endPiece)
      .map((_, i) =>
        solvePiece(layout, laid, segment.firstPiece + i, running.flowsM3PerS[segment.link]!),
      ),
  )
  const fastest = fastestOf(pieces)
  const flowM3PerS = flowAtEnd(running)
  return {
    lineId: laid.line.id,
    status: statusOf(layout, path, laid, flowM3PerS, banded.ran.unsettledLinkId !== null),
    pump: pumps.find(({ placedId }) => placedId === laidPump.placed.id)!,
    flowM3PerS,
    flowBandM3PerS: halfWidth(banded, flowAtEnd),
    startFlowM3PerS: running.flowsM3PerS[own[0]!.link]!,
    liftM,
    frictionM: along('frictionM')(running),
    frictionBandM: halfWidth(banded, along('frictionM')),
    fittingsM: along('fittingsM')(running),
    fittingsBandM: halfWidth(banded, along('fittingsM')),
    leastSpeedToLift: leastSpeedToLift(laidPump.curve, liftM),
    fastestMPerS: fastest?.speedMPerS ?? 0,
    fastestPieceId: fastest?.pieceId ?? null,
    exitSpeedMPerS: speedMPerS(Math.abs(flowM3PerS), endBoreM(laid, laidPump.part.outletBoreM)),
    start: laid.start,
    mouth: laid.mouth,
    end: laid.end,
    pipeLengthM: laid.losses.reduce((sum, loss) => sum + (loss.friction?.lengthM ?? 0), 0),
    pieces,
    stretches: solveStretches(layout, path, running),
  }
}

/** Along the way, counted with the flow: water that runs back loses head the other way. */
function sumAlong(path: readonly PathPart[], of: Float64Array): number {
  return path.reduce(
    (sum, part) => part.segments.reduce((within, { link }) => within + of[link]!, sum),
    0,
  )
}

function endHeadM({ problem }: Layout, laid: LaidLine, { headsM }: Running): number {
  if (laid.endHeadM !== null) return laid.endHeadM
  const id = laid.end === 'tee' ? `tee ${laid.line.end.id}` : `end ${laid.line.id}`
  const headM = headsM[problem.nodes.findIndex((node) => node.id === id)]!
  // Behind a shut valve or a cap the head is not known: its own height stands for it.
  return Number.isNaN(headM) ? laid.mouth.zM : headM
}

function statusOf(
  { problem }: Layout,
  path: readonly PathPart[],
  laid: LaidLine,
  flowM3PerS: number,
  unsettled: boolean,
): LineStatus {
  if (unsettled) return 'unsettled'
  if (laid.end === 'cap') return 'capped'
  if (flowM3PerS > 0) return 'flows'
  if (flowM3PerS < 0) return 'flows-back'
  const shut = path.some((part) => part.segments.some(({ link }) => problem.links[link]!.shut))
  return shut ? 'shut' : 'no-lift'
}

function endBoreM(laid: LaidLine, outletBoreM: number): number {
  const last = laid.placed.at(-1)
  if (last?.piece.kind === 'nozzle') return last.piece.boreM
  return laid.endLoss?.boreM ?? last?.boreAfterM ?? outletBoreM
}

function fastestOf(pieces: readonly SolvedPiece[]): SolvedPiece | null {
  return pieces
    .filter((piece) => piece.kind !== 'nozzle')
    .reduce<SolvedPiece | null>(
      (best, piece) => (best === null || piece.speedMPerS > best.speedMPerS ? piece : best),
      null,
    )
}

function solvePiece(
  layout: Layout,
  laid: LaidLine,
  index: number,
  flowM3PerS: number,
): SolvedPiece {
  const placed = laid.placed[index]!
  const { friction, fittings, table, shut } = laid.losses[index]!
  const boreM = fittings.reduce((least, one) => Math.min(least, one.boreM), placed.boreBeforeM)
  const { speed, re, head } = atBore(layout, flowM3PerS, boreM)
  const flowing = flowM3PerS !== 0
  const fittingLossM = fittings.reduce((total, one) => {
    const here = atBore(layout, flowM3PerS, one.boreM)
    return total + (flowing ? kAt(one.loss, here.re) * here.head : 0)
  }, 0)
  const f = friction && flowing ? friction.factor * frictionFactor(re, relative(friction)) : null
  const frictionM = friction && f !== null ? ((f * friction.lengthM) / boreM) * head : 0
  const tableM = table ? tableLossM(table, flowM3PerS) : 0
  return {
    pieceId: placed.piece.id,
    kind: placed.piece.kind,
    from: placed.from,
    to: placed.to,
    flowM3PerS,
    boreM,
    speedMPerS: speed,
    reynolds: re,
    regime: regimeAt(re),
    frictionFactor: f,
    k: friction || table || shut || !flowing ? null : fittingLossM / head,
    lossM: frictionM + fittingLossM + tableM,
  }
}

function solveStretches(
  layout: Layout,
  path: readonly PathPart[],
  { flowsM3PerS }: Running,
): SolvedStretch[] {
  const alike = new Map<string, { friction: FrictionLoss; flow: number }>()
  for (const part of path) {
    for (const { link, firstPiece, endPiece } of part.segments) {
      const flow = flowsM3PerS[link]!
      for (const { friction } of layout.lines[part.lineIndex]!.losses.slice(firstPiece, endPiece)) {
        if (!friction) continue
        const key = `${friction.boreM}/${friction.roughnessM}/${friction.factor}/${flow}`
        const lengthM = (alike.get(key)?.friction.lengthM ?? 0) + friction.lengthM
        alike.set(key, { friction: { ...friction, lengthM }, flow })
      }
    }
  }
  return [...alike.values()].map(({ friction, flow }) => {
    const { speed, re, head } = atBore(layout, flow, friction.boreM)
    const f = flow === 0 ? 0 : friction.factor * frictionFactor(re, relative(friction))
    return {
      boreM: friction.boreM,
      lengthM: friction.lengthM,
      speedMPerS: speed,
      reynolds: re,
      regime: regimeAt(re),
      frictionFactor: f,
      lossM: ((f * friction.lengthM) / friction.boreM) * head,
    }
  })
}

function relative({ roughnessM, boreM }: FrictionLoss): number {
  return roughnessM / boreM
}

function atBore({ water }: Layout, flowM3PerS: number, boreM: number) {
  const speed = speedMPerS(Math.abs(flowM3PerS), boreM)
  return {
    speed,
    re: reynolds(speed, boreM, water.kinematicM2PerS),
    head: velocityHeadM(speed),
  }
}
