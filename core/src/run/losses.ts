import {
  constantLoss,
  EXIT_LOSS,
  type Loss,
  makerLoss,
  type ThreeKFitting,
  threeKLoss,
  transitionBoreM,
  transitionLoss,
  UNION_LOSS,
  valveLoss,
} from '../fitting/index.ts'
import { makePchip, type Pchip } from '../numeric/index.ts'
import type { PlacedPiece } from './path.ts'
import type {
  CheckValvePiece,
  DevicePiece,
  ElbowForm,
  LossPoint,
  Run,
  TeeForm,
  ValvePiece,
} from './piece.ts'

/** Wall friction of one straight length. */
export interface FrictionLoss {
  readonly boreM: number
  readonly lengthM: number
  readonly roughnessM: number
  /** Factor on f: 1, or more for ribbed hose. */
  readonly factor: number
}

/** A K on its own bore. An exit is a fitting whose K carries no band. */
export interface FittingLoss {
  readonly boreM: number
  readonly loss: Loss
  readonly exit: boolean
}

/** What one piece costs, before any flow is known. */
export interface PieceLosses {
  readonly friction: FrictionLoss | null
  readonly fittings: readonly FittingLoss[]
  /** A device's head against the flow, where it is printed so. */
  readonly table: Pchip | null
  /** A shut valve: no water passes. */
  readonly shut: boolean
}

const ELBOW: Readonly<Record<ElbowForm, ThreeKFitting>> = {
  'standard-90': 'elbow-90',
  'sweep-90': 'elbow-90-long',
  'standard-45': 'elbow-45',
  'hose-bend-90': 'hose-bend-90',
}

/** The losses of one piece in its place. */
export function pieceLosses(placed: PlacedPiece, run: Run): PieceLosses {
  const { piece, boreBeforeM: boreM, tradeSizeIn } = placed
  switch (piece.kind) {
    case 'pipe':
    case 'free-hose':
      return { ...NOTHING, friction: frictionOf(placed, run, piece.lengthM) }
    case 'tee':
      return open([teeLoss(piece.form, 'own', boreM, tradeSizeIn)])
    case 'device':
      return deviceLosses(piece, boreM)
    case 'elbow':
      return open([{ boreM, loss: threeKLoss(ELBOW[piece.form], tradeSizeIn), exit: false }])
    case 'union':
      return open([{ boreM, loss: UNION_LOSS, exit: false }])
    case 'valve':
      return valveLosses(piece, boreM, tradeSizeIn)
    case 'check-valve':
      return open([{ boreM, loss: checkLoss(piece, boreM, tradeSizeIn), exit: false }])
    case 'reducer':
      return open(change(boreM, placed.boreAfterM, piece.angleDeg))
    case 'bulkhead': {
      const inside = piece.boreM ?? boreM
      return open([...change(boreM, inside, null), ...change(inside, boreM, null)])
    }
    case 'nozzle':
      return open([
        ...change(boreM, piece.boreM, null),
        { boreM: piece.boreM, loss: EXIT_LOSS, exit: true },
      ])
  }
}

/** An open pipe end loses its own velocity head. */
export function openEnd(boreM: number): FittingLoss {
  return { boreM, loss: EXIT_LOSS, exit: true }
}

/** Which of a tee's two lines a loss is for: the one that has it among its pieces, or the other. */
export type TeeSide = 'own' | 'other'

/** What the flow of one line loses in a tee: through the run, or through the branch. */
export function teeLoss(
  form: TeeForm,
  side: TeeSide,
  boreM: number,
  tradeSizeIn: number,
): FittingLoss {
  const straightOn = form === (side === 'own' ? 'side' : 'straight')
  const loss = threeKLoss(straightOn ? 'tee-run' : 'tee-branch', tradeSizeIn)
  return { boreM, loss, exit: false }
}

/** A printed head loss as a curve that begins at zero. */
export function lossTable(points: readonly LossPoint[]): Pchip {
  return makePchip(
    [0, ...points.map((point) => point.flowM3PerS)],
    [0, ...points.map((point) => point.headM)],
  )
}

function deviceLosses(piece: DevicePiece, boreM: number): PieceLosses {
  if (piece.by === 'table') return { ...NOTHING, table: lossTable(piece.table) }
  const loss = piece.by === 'k' ? constantLoss(piece.k) : makerLoss(piece.kvM3PerH, boreM)
  return open([{ boreM, loss, exit: false }])
}

const NOTHING: PieceLosses = { friction: null, fittings: [], table: null, shut: false }

function open(fittings: readonly FittingLoss[]): PieceLosses {
  return { ...NOTHING, fittings }
}

function frictionOf(placed: PlacedPiece, run: Run, lengthM: number): FrictionLoss {
  const { series } = placed.sizeBefore
  return {
    boreM: placed.boreBeforeM,
    lengthM,
    roughnessM: run.roughnessM,
    factor: series === 'ribbed-hose' ? run.ribbedFactor : 1,
  }
}

function change(fromBoreM: number, toBoreM: number, angleDeg: number | null): FittingLoss[] {
  if (fromBoreM === toBoreM) return []
  const transition = { fromBoreM, toBoreM, angleDeg }
  return [{ boreM: transitionBoreM(transition), loss: transitionLoss(transition), exit: false }]
}

function checkLoss(piece: CheckValvePiece, boreM: number, tradeSizeIn: number): Loss {
  if (piece.kvM3PerH !== null) return makerLoss(piece.kvM3PerH, boreM)
  return threeKLoss(piece.form === 'swing' ? 'check-swing' : 'check-spring', tradeSizeIn)
}

function valveLosses(piece: ValvePiece, boreM: number, tradeSizeIn: number): PieceLosses {
  const loss = lossOfValve(piece, boreM, tradeSizeIn)
  if (!loss) return { ...NOTHING, shut: true }
  return open([{ boreM, loss, exit: false }])
}

function lossOfValve(piece: ValvePiece, boreM: number, tradeSizeIn: number): Loss | null {
  const { form, opening, kvM3PerH } = piece
  if (form !== 'diaphragm') {
    return valveLoss({
      valve: form === 'gate' ? 'gate-valve' : 'ball-valve',
      tradeSizeIn,
      boreM,
      opening,
      kvM3PerH,
    })
  }
  if (opening <= 0) return null
  return kvM3PerH === null ? threeKLoss('diaphragm-valve', tradeSizeIn) : makerLoss(kvM3PerH, boreM)
}
