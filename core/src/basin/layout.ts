import { waterAt, type Water } from '../fluid/water.ts'
import type { DutyProblem } from '../network/duty.ts'
import { makeLine, type Line } from '../network/line.ts'
import { boreOf } from '../pipe/size.ts'
import { pumpCurve, type PumpCurve } from '../pump/curve.ts'
import type { PumpPart } from '../pump/part.ts'
import {
  openEnd,
  pieceLosses,
  type FittingLoss,
  type FrictionLoss,
  type PieceLosses,
} from '../run/losses.ts'
import { mouthOf, placePieces, type PlacedPiece, type Point } from '../run/path.ts'
import { returnPump, tankSurfaceM, type BasinDesign } from './design.ts'

/** Where the run ends: in air over the tank, in the tank's water, or not over the tank at all. */
export type RunEnd = 'above-water' | 'under-water' | 'outside-tank'

/** A design made ready to be solved: every piece placed, its losses known, the problem stated. */
export interface Layout {
  readonly part: PumpPart
  readonly curve: PumpCurve
  readonly water: Water
  readonly placed: readonly PlacedPiece[]
  readonly losses: readonly PieceLosses[]
  /** The exit of an open pipe end, when the run has no nozzle. */
  readonly openEnd: FittingLoss | null
  readonly mouth: Point
  readonly end: RunEnd
  readonly liftM: number
  readonly problem: DutyProblem
}

export function layOut(design: BasinDesign): Layout {
  const { run, outlet, sourceLevelM, speed } = design.returnSide
  const part = returnPump(design)
  const curve = pumpCurve(part)
  const water = waterAt(design.water)
  const placed = placePieces(run, outlet)
  const losses = placed.map((one) => pieceLosses(one, run))
  const openExit = openEndOf(design, placed)
  const mouth = mouthOf(placed, outlet)
  const end = endOf(design, mouth)
  const liftM = (end === 'under-water' ? tankSurfaceM(design) : mouth.zM) - sourceLevelM
  const problem: DutyProblem = {
    curve,
    outletBoreM: part.outletBoreM,
    speed: part.control === 'fixed-speed' ? 1 : speed,
    line: lineOf(losses, openExit),
    liftM,
    water,
    shut: losses.some((loss) => loss.shut),
    canFlowBack: end === 'under-water' && !run.pieces.some((piece) => piece.kind === 'check-valve'),
  }
  return { part, curve, water, placed, losses, openEnd: openExit, mouth, end, liftM, problem }
}

function lineOf(losses: readonly PieceLosses[], openExit: FittingLoss | null): Line {
  const frictions: FrictionLoss[] = []
  const fittings: FittingLoss[] = openExit ? [openExit] : []
  for (const loss of losses) {
    if (loss.friction) frictions.push(loss.friction)
    fittings.push(...loss.fittings)
  }
  return makeLine(frictions, fittings)
}

function openEndOf(design: BasinDesign, placed: readonly PlacedPiece[]): FittingLoss | null {
  const last = placed.at(-1)
  if (last?.piece.kind === 'nozzle') return null
  return openEnd(last?.boreAfterM ?? boreOf(design.returnSide.run.size).boreM)
}

function endOf(design: BasinDesign, mouth: Point): RunEnd {
  const { tank } = design
  const over = mouth.xM >= 0 && mouth.xM <= tank.lengthM && mouth.yM >= 0 && mouth.yM <= tank.widthM
  if (!over || mouth.zM < tank.floorHeightM) return 'outside-tank'
  return mouth.zM >= tankSurfaceM(design) ? 'above-water' : 'under-water'
}
