import {
  applyEdits,
  type BasinDesign,
  chamberAt,
  type Device,
  type Edit,
  insertAt,
  type ReturnLine,
  setTo,
} from '../../design/index.ts'
import type { Figures } from '../../figures/index.ts'
import { NEW_ROUGHNESS_M, RIBBED_FACTOR } from '../../pipe/index.ts'
import { toMillimetre } from '../../quantity/index.ts'
import type { Piece, Run } from '../../run/index.ts'
import { placeTee, split, type Teed } from './place-tee.ts'
import { USE_OF_KIND, devicePiece } from '../run/new-piece.ts'
import { valveForFlow } from '../setting/valve-for-flow.ts'
import {
  ends,
  freeName,
  type NewId,
  OVER_WATER_M,
  type StandsIn,
  way,
  wayWith,
} from './new-line.ts'

/** What of a line's flow a device is first given where it names no window (choice). */
export const USUAL_SHARE = 0.1
/** A tee sits so far over the sump's rim, or over the water of one without sizes, m (choice). */
const OVER_RIM_M = 0.06
const OVER_LEVEL_M = 0.3
/** How far beside its tee a device's water comes down, m (choice). */
const ASIDE_M = 0.35
/** A tee takes no less room in a pipe than this on either side, m (choice). */
const LEAST_STUB_M = 0.1

/** Can a device have a line of its own teed off for it? It works on water that is led to it, and none is yet; a heater stands in the water. */
export const mayBeTeedOff = ({ part, lineId }: Device): boolean =>
  lineId === null && part.kind !== 'heater' && USE_OF_KIND[part.kind] !== undefined

/**
 * A line for a device, teed off the one the design is known by: tee, ball valve, union, the device,
 * and pipe down into the pump's chamber. The valve is set so that the flow lies in its window.
 */
export function teeOffDevice(
  design: BasinDesign,
  solved: Pick<Figures, 'returnSide'>,
  { deviceIndex, newId }: { readonly deviceIndex: number; readonly newId: NewId },
): Edit[] {
  const device = design.sump.devices[deviceIndex]!
  const { lines } = design.returnSide
  const lead = lines.findIndex(({ id }) => id === solved.returnSide.leadLineId)
  const teeId = newId()
  const split = teedAbove(design, solved.returnSide.lines[lead]!, { run: lines[lead]!.run, teeId })
  const branch = branchFor(design, device, { ...split, teeId, newId })
  const wanted = wantedOf(device, solved.returnSide.lines[lead]!.flowM3PerS)
  const edits = [
    setTo(['returnSide', 'lines', lead, 'run'], split.run),
    insertAt(['returnSide', 'lines'], lines.length, { ...branch, wantedFlowM3PerS: wanted }),
    setTo(['sump', 'devices', deviceIndex, 'lineId'], branch.id),
  ]
  const piece = branch.run.pieces.findIndex(({ kind }) => kind === 'valve')
  const valve = { line: lines.length, piece }
  return [...edits, ...valveForFlow(applyEdits(design, edits), valve, wanted).edits]
}

/** The middle of its window, or a share of what the line carries. */
function wantedOf({ part: { window } }: Device, flowM3PerS: number): number {
  return window ? (window.leastM3PerS + window.mostM3PerS) / 2 : USUAL_SHARE * flowM3PerS
}

/** A tee in the first upright pipe that passes a little over the sump's rim; else after the first piece. */
function teedAbove(
  { sump }: BasinDesign,
  laid: Figures['returnSide']['lines'][number],
  { run, teeId }: { readonly run: Run; readonly teeId: string },
): Teed {
  const tee: Piece = { id: teeId, kind: 'tee', form: 'side' }
  const rimM = sump.box ? sump.box.floorHeightM + sump.box.heightM : null
  const wantedM = rimM === null ? laid.start.zM + OVER_LEVEL_M : rimM + OVER_RIM_M
  const at = laid.pieces.findIndex(
    ({ kind, from, to }) =>
      kind === 'pipe' && from.zM < wantedM - LEAST_STUB_M && to.zM > wantedM + LEAST_STUB_M,
  )
  const pipe = run.pieces[at]
  if (pipe?.kind !== 'pipe' || pipe.direction !== 'up')
    return placeTee(run, { after: 0, at: laid.pieces[0]?.to ?? laid.start, size: run.size, tee })
  const { from } = laid.pieces[at]!
  return split(run, { index: at, firstM: toMillimetre(wantedM - from.zM), from, tee })
}

function branchFor(
  design: BasinDesign,
  { name, part }: Device,
  { run, at, teeId, newId }: Teed & { readonly teeId: string; readonly newId: NewId },
): ReturnLine {
  const { returnSide, sump } = design
  const chamberId = returnSide.pumps[0]!.chamberId
  const chamber = sump.chambers.find(({ id }) => id === chamberId)!
  const to = { ...at, xM: at.xM - ASIDE_M, zM: chamber.levelM + OVER_WATER_M }
  const home = sump.box ? { ...to, xM: Math.max(to.xM, sump.box.xM + OVER_RIM_M) } : to
  const things: StandsIn[] = [
    {
      piece: { id: newId(), kind: 'valve', form: 'ball', opening: 0.5, kvM3PerH: null },
      as: 'valve',
    },
    { piece: { id: newId(), kind: 'union' }, as: 'union' },
    { piece: devicePiece(newId(), USE_OF_KIND[part.kind]!, { name }), as: 'device' },
  ]
  const pieces = wayWith(way(at, home, newId), things, run.size)
  return {
    id: newId(),
    name: freeName(design, name),
    start: { at: 'tee', id: teeId },
    run: { size: run.size, pieces, roughnessM: NEW_ROUGHNESS_M, ribbedFactor: RIBBED_FACTOR },
    end: ends('chamber', sump.chambers[chamberAt(sump, home)]?.id ?? chamberId),
    wantedFlowM3PerS: null,
  }
}
