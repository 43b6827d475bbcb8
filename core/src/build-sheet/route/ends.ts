import { type BasinDesign, byId, type Device, partOf } from '../../design/index.ts'
import { pieceOfDevice } from '../../layout/index.ts'
import { isHose, measureOf, nearestSize, type PipeSize } from '../../pipe/index.ts'
import type { EndKind, Piece, PieceMade } from '../../run/index.ts'
import type { BodyEnd } from './body.ts'

/** How a thing in a run of this size is joined where nothing is said: glued, or hose over a barb. */
export function usualEnd(size: PipeSize): BodyEnd {
  return { kind: isHose(size.series) ? 'barb' : 'glued', size }
}

/** Both ends of a piece as they were made, else as usual. */
export function endsOf(
  made: PieceMade | null | undefined,
  before: PipeSize,
  after: PipeSize,
): { readonly before: BodyEnd; readonly after: BodyEnd; readonly isAssumed: boolean } {
  const end = (kind: EndKind | null, size: PipeSize): BodyEnd =>
    kind ? { kind, size } : usualEnd(size)
  return {
    before: end(made?.before ?? null, before),
    after: end(made?.after ?? null, after),
    isAssumed: !made?.before && !made?.after,
  }
}

/** The size whose trade name a thread of a bore has, in the measure that threads have: inches. */
function threadOf(boreM: number): PipeSize {
  return nearestSize('schedule-40', boreM, 'in')
}

/** A pump's outlet: its thread unless the keeper said otherwise. */
export function outletOf(design: BasinDesign, placedId: string): BodyEnd & { isAssumed: boolean } {
  const placed = byId(design.returnSide.pumps, placedId, 'placed pump')
  const { outletBoreM } = partOf(design, placed.pumpId)
  const kind = placed.joint ?? 'threaded'
  const size =
    kind === 'barb' ? nearestSize('smooth-hose', outletBoreM, 'mm') : threadOf(outletBoreM)
  return { kind, size, isAssumed: !placed.joint }
}

/** The device that a piece of a line is; null: none that stands anywhere. */
export function deviceOf({ sump, returnSide }: BasinDesign, piece: Piece): Device | null {
  return (
    sump.devices.find((device) => {
      const line = returnSide.lines.find(({ id }) => id === device.lineId)
      return line?.run.pieces[pieceOfDevice(line.run.pieces, device)]?.id === piece.id
    }) ?? null
  )
}

/** A device's ports: by unions of its line's size, or of its own bore where that is known. */
export function devicePorts(device: Device | null, size: PipeSize): BodyEnd {
  const boreM = device?.part.sterilizer?.portBoreM ?? null
  const own = boreM === null ? size : nearestSize(size.series, boreM, measureOf(size))
  const kind = device?.joint ?? (isHose(size.series) ? 'barb' : 'union')
  return { kind, size: own }
}
