import {
  type BasinDesign,
  type Edit,
  insertAt,
  setTo,
  type ReturnLine,
  surfaceM,
} from '../../design/index.ts'
import type { Figures } from '../../figures/index.ts'
import { roomFor } from '../../fitting/index.ts'
import { NEW_ROUGHNESS_M, type PipeSize, RIBBED_FACTOR } from '../../pipe/index.ts'
import type { Piece, Point } from '../../run/index.ts'
import {
  ends,
  freeName,
  type NewId,
  OVER_WATER_M,
  type StandsIn,
  way,
  wayWith,
} from './new-line.ts'
import { placeTee } from './place-tee.ts'

/** What a keeper can tee off a line. */
export type BranchKind =
  | { readonly what: 'takeoff'; readonly chamberId: string }
  | { readonly what: 'nozzle'; readonly tankId: string }
  | { readonly what: 'spare' }

/** How far beside its tee a new nozzle comes to stand, m (choice). */
const STEP_IN_M = 0.15
/** Shortest spare end, m (choice). */
const LEAST_SPARE_M = 0.08

/** Tees a new line off after a piece of a line; −1: before the first. One step. */
export function teeOff(
  design: BasinDesign,
  solved: Pick<Figures, 'returnSide'>,
  {
    lineIndex,
    afterPiece,
    kind,
    newId,
  }: {
    readonly lineIndex: number
    readonly afterPiece: number
    readonly kind: BranchKind
    readonly newId: NewId
  },
): { edits: Edit[]; lineId: string } {
  const line = design.returnSide.lines[lineIndex]!
  const laid = solved.returnSide.lines[lineIndex]!
  const at = laid.pieces[afterPiece]?.to ?? laid.start
  const size = sizeAfter(line, afterPiece)
  const tee: Piece = { id: newId(), kind: 'tee', form: 'side' }
  const teed = placeTee(line.run, { after: afterPiece, at, size, tee })
  const branch: ReturnLine = {
    id: newId(),
    ...branchOf(design, { kind, from: teed.at, size, newId }),
    start: { at: 'tee', id: tee.id },
    wantedFlowM3PerS: null,
  }
  const { lines } = design.returnSide
  return {
    lineId: branch.id,
    edits: [
      setTo(['returnSide', 'lines', lineIndex, 'run'], teed.run),
      insertAt(['returnSide', 'lines'], lines.length, branch),
    ],
  }
}

function sizeAfter({ run }: ReturnLine, piece: number): PipeSize {
  const reducer = run.pieces.slice(0, piece + 1).findLast((before) => before.kind === 'reducer')
  return reducer?.kind === 'reducer' ? reducer.to : run.size
}

function branchOf(
  design: BasinDesign,
  {
    kind,
    from,
    size,
    newId,
  }: {
    readonly kind: BranchKind
    readonly from: Point
    readonly size: PipeSize
    readonly newId: NewId
  },
): Pick<ReturnLine, 'name' | 'run' | 'end'> {
  const run = (pieces: readonly Piece[]) => ({
    size,
    pieces,
    roughnessM: NEW_ROUGHNESS_M,
    ribbedFactor: RIBBED_FACTOR,
  })
  const ball: Piece = { id: newId(), kind: 'valve', form: 'ball', opening: 0.5, kvM3PerH: null }
  const union: StandsIn = { piece: { id: newId(), kind: 'union' }, as: 'union' }
  if (kind.what === 'spare') {
    const lengthM = roomFor(['tee', 'valve', 'cap'], size, LEAST_SPARE_M)
    const stub: Piece = { id: newId(), kind: 'pipe', direction: 'left', lengthM }
    return {
      name: freeName(design, 'Spare'),
      run: run([{ ...ball, opening: 0 }, stub]),
      end: ends('cap', null),
    }
  }
  if (kind.what === 'takeoff') {
    const chamber = design.sump.chambers.find(({ id }) => id === kind.chamberId)!
    const to = { ...from, xM: from.xM - 0.35, zM: chamber.levelM + OVER_WATER_M }
    return {
      name: freeName(design, 'Takeoff'),
      run: run(wayWith(way(from, to, newId), [{ piece: ball, as: 'valve' }, union], size)),
      end: ends('chamber', chamber.id),
    }
  }
  const tank = design.tanks.find(({ id }) => id === kind.tankId)!
  const inside = (at: number, start: number, length: number) =>
    Math.min(start + length - 0.05, Math.max(start + 0.05, at))
  const to = {
    xM: inside(
      from.xM - roomFor(['elbow-90', 'valve', 'union', 'elbow-90'], size, STEP_IN_M),
      tank.xM,
      tank.lengthM,
    ),
    yM: inside(from.yM, tank.yM, tank.widthM),
    zM: surfaceM(tank) + OVER_WATER_M,
  }
  const gate: Piece = { id: newId(), kind: 'valve', form: 'gate', opening: 1, kvM3PerH: null }
  return {
    name: freeName(design, design.tanks.length > 1 ? `${tank.name} line` : 'Second nozzle'),
    run: run(wayWith(way(from, to, newId), [{ piece: gate, as: 'valve' }, union], size)),
    end: ends('tank', tank.id),
  }
}
