import {
  constantLoss,
  EXIT_LOSS,
  type Loss,
  type LossKind,
  makerLoss,
  PAST_DRY_BRANCH,
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
  /** Its factor is a guess, and so is known less well. */
  readonly ribbed: boolean
}

/** A K on its own bore, and how well it is known; an exit's is known exactly. */
export interface FittingLoss {
  readonly boreM: number
  readonly loss: Loss
  readonly kind: LossKind | 'exit'
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
      return open([pluggedTee(piece.form, boreM, tradeSizeIn)])
    case 'device':
      return deviceLosses(piece, boreM)
    case 'elbow':
      return open([{ boreM, loss: threeKLoss(ELBOW[piece.form], tradeSizeIn), kind: 'fitting' }])
    case 'union':
      return open([{ boreM, loss: UNION_LOSS, kind: 'fitting' }])
    case 'valve':
      return valveLosses(piece, boreM, tradeSizeIn)
    case 'check-valve':
      return open([
        {
          boreM,
          loss: checkLoss(piece, boreM, tradeSizeIn),
          kind: piece.kvM3PerH === null ? 'fitting' : 'device',
        },
      ])
    case 'reducer':
      return open(change(boreM, placed.boreAfterM, piece.angleDeg))
    case 'bulkhead': {
      const inside = piece.boreM ?? boreM
      return open([...change(boreM, inside, null), ...change(inside, boreM, null)])
    }
    case 'nozzle':
      return open([
        ...change(boreM, piece.boreM, null),
        { boreM: piece.boreM, loss: EXIT_LOSS, kind: 'exit' },
      ])
  }
}

/** An open pipe end loses its own velocity head. */
export function openEnd(boreM: number): FittingLoss {
  return { boreM, loss: EXIT_LOSS, kind: 'exit' }
}

/**
 * A tee whose third leg is plugged: past it as past a dry branch, or round its corner as in an elbow.
 * What a tee does where two lines meet hangs on their flows: the network knows it.
 */
function pluggedTee(form: TeeForm, boreM: number, tradeSizeIn: number): FittingLoss {
  const loss = form === 'side' ? PAST_DRY_BRANCH : threeKLoss('tee-branch', tradeSizeIn)
  return { boreM, loss, kind: 'fitting' }
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
  return open([{ boreM, loss, kind: 'device' }])
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
    ribbed: series === 'ribbed-hose',
  }
}

/** What joins two bores that differ, whether or not it was drawn: a sudden change, in the direction of the line. */
export function adapterLosses(fromBoreM: number, toBoreM: number): FittingLoss[] {
  return change(fromBoreM, toBoreM, null)
}

function change(fromBoreM: number, toBoreM: number, angleDeg: number | null): FittingLoss[] {
  if (fromBoreM === toBoreM) return []
  const transition = { fromBoreM, toBoreM, angleDeg }
  return [{ boreM: transitionBoreM(transition), loss: transitionLoss(transition), kind: 'fitting' }]
}

function checkLoss(piece: CheckValvePiece, boreM: number, tradeSizeIn: number): Loss {
  if (piece.kvM3PerH !== null) return makerLoss(piece.kvM3PerH, boreM)
  return threeKLoss(piece.form === 'swing' ? 'check-swing' : 'check-spring', tradeSizeIn)
}

function valveLosses(piece: ValvePiece, boreM: number, tradeSizeIn: number): PieceLosses {
  const loss = lossOfValve(piece, boreM, tradeSizeIn)
  if (!loss) return { ...NOTHING, shut: true }
  return open([{ boreM, loss, kind: valveKind(piece) }])
}

/** Open so far, a valve counts as wide open (hydraulics reference, §3): share of its stroke or quarter turn. */
const WIDE_OPEN = 0.9

/** How well a valve's loss is known where it is set. */
export function valveKind({ form, opening, kvM3PerH }: Omit<ValvePiece, 'id' | 'kind'>): LossKind {
  if (form !== 'diaphragm' && opening < WIDE_OPEN - 1e-12) return 'part-closed-valve'
  return kvM3PerH === null ? 'fitting' : 'device'
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
