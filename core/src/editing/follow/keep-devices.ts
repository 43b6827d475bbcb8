import {
  type BasinDesign,
  type ChamberSpan,
  chamberSpans,
  type Device,
  type Edit,
  setTo,
  type Sump,
} from '../../design/index.ts'
import type { Piece } from '../../run/index.ts'
import { USE_OF_KIND } from '../run/new-piece.ts'
import { deviceRectangle } from '../../figures/index.ts'
import { pushedM } from './shifts.ts'

/**
 * The edits that keep every device with its chamber and its line after a design was changed: a chamber
 * that is gone gives its devices to the first of the same use, chambers in another order take theirs
 * along, a wall pushes what it would run into, and a line that is gone lets go of them.
 */
export function keepDevices(before: BasinDesign, after: BasinDesign): Edit[] {
  if (before.sump === after.sump && before.returnSide === after.returnSide) return []
  return after.sump.devices.flatMap((device, i): Edit[] => {
    const chamberId = chamberAfter(before.sump, after.sump, device)
    const lineId = lineAfter(before, after, device)
    const xM = device.xM + shiftOf(before.sump, after.sump, device, chamberId)
    const edits: Edit[] = []
    const at = ['sump', 'devices', i] as const
    if (chamberId !== device.chamberId) edits.push(setTo([...at, 'chamberId'], chamberId))
    if (lineId !== device.lineId) edits.push(setTo([...at, 'lineId'], lineId))
    if (!isIn(after, lineId, device.pieceId)) edits.push(setTo([...at, 'pieceId'], null))
    if (xM !== device.xM) edits.push(setTo([...at, 'xM'], xM))
    return edits
  })
}

/** Where its piece went, its line goes; a device whose piece was taken away, or whose line is gone, stands in none. */
function lineAfter(before: BasinDesign, { returnSide }: BasinDesign, device: Device) {
  const { lineId, pieceId } = device
  const line = returnSide.lines.find(({ id }) => id === lineId)
  const isIts = (piece: Piece) =>
    piece.id === pieceId && (piece.kind !== 'device' || piece.use === USE_OF_KIND[device.part.kind])
  if (pieceId === null || line?.run.pieces.some(isIts)) return line?.id ?? null
  const old = before.sump.devices.find(({ id }) => id === device.id)
  if (old?.lineId !== lineId) return line?.id ?? null
  const now = returnSide.lines.find(({ run }) => run.pieces.some(isIts))
  return now?.id ?? (device.part.kind === 'flow-meter' ? (line?.id ?? null) : null)
}

/** Is a piece still in the line, or was none set? */
function isIn({ returnSide }: BasinDesign, lineId: string | null, pieceId: string | null) {
  if (pieceId === null) return true
  const line = returnSide.lines.find(({ id }) => id === lineId)
  return line?.run.pieces.some(({ id }) => id === pieceId) ?? false
}

function chamberAfter(before: Sump, after: Sump, { chamberId }: Device): string | null {
  if (chamberId === null || after.chambers.some(({ id }) => id === chamberId)) return chamberId
  const use = before.chambers.find(({ id }) => id === chamberId)?.use
  return after.chambers.find((chamber) => chamber.use === use)?.id ?? null
}

/** How far its chamber went, where chambers came, went or changed places, or how far its walls push it. */
function shiftOf(before: Sump, after: Sump, device: Device, nowIn: string | null): number {
  const old = before.devices.find(({ id }) => id === device.id)
  if (!before.box || !after.box || nowIn === null || !old || old.xM !== device.xM) return 0
  if (old.chamberId !== device.chamberId) return 0
  const from = spanOf(before, device.chamberId)
  const to = spanOf(after, nowIn)
  if (!from || !to) return 0
  const order = ({ chambers }: Sump) => chambers.map(({ id }) => id).join()
  if (order(before) !== order(after)) return to.fromM - from.fromM
  const { fromXM, toXM } = deviceRectangle(device)
  const stoodIn = fromXM >= from.fromM && toXM <= from.toM
  return stoodIn ? pushedM([fromXM, toXM], [from.fromM, from.toM], [to.fromM, to.toM]) : 0
}

function spanOf(sump: Sump, chamberId: string | null): ChamberSpan | null {
  const at = sump.chambers.findIndex(({ id }) => id === chamberId)
  return at < 0 ? null : chamberSpans(sump, sump.box!.lengthM)[at]!
}
