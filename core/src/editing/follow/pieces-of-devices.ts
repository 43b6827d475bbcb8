import {
  applyEdits,
  type BasinDesign,
  type Device,
  type Edit,
  insertAt,
  type ReturnLine,
  setTo,
} from '../../design/index.ts'
import { USE_OF_KIND, devicePiece, endOfRun } from '../run/new-piece.ts'
import type { DevicePiece } from '../../run/index.ts'

/**
 * One device, once: what stands in a line is a piece of it, with its loss and its name. The edits that
 * keep both alike after a design was changed: a device that goes into a line becomes a piece of it, one
 * that goes out of it takes its piece along, a name changed at either end is changed at both, and a
 * piece that was drawn is the device that waits for a line of its kind.
 */
export function piecesOfDevices(before: BasinDesign, after: BasinDesign): Edit[] {
  if (
    before.sump.devices === after.sump.devices &&
    before.returnSide.lines === after.returnSide.lines
  )
    return []
  const edits: Edit[] = []
  for (const follower of [takenOut, claimed, putIn, namedAlike])
    edits.push(...follower(before, applyEdits(after, edits)))
  return edits
}

const linesOf = ({ returnSide }: BasinDesign): readonly ReturnLine[] => returnSide.lines

const isOf = (id: string) => (piece: { readonly id: string; readonly kind: string }) =>
  piece.kind === 'device' && piece.id === id

/** A device's piece and where it is; null: in no line. */
function pieceAt(design: BasinDesign, pieceId: string | null) {
  if (pieceId === null) return null
  for (const [line, { run }] of linesOf(design).entries()) {
    const at = run.pieces.findIndex(isOf(pieceId))
    if (at < 0) continue
    const now = run.pieces[at] as DevicePiece
    return { now, line, path: ['returnSide', 'lines', line, 'run', 'pieces', at] as const }
  }
  return null
}

const stoodIn = (design: BasinDesign, deviceId: string) =>
  design.sump.devices.find(({ id }) => id === deviceId)

/** Pieces of devices that are gone, or went out of the line, go with them. */
function takenOut(before: BasinDesign, after: BasinDesign): Edit[] {
  const now = new Map(after.sump.devices.map((device) => [device.id, device]))
  return before.sump.devices.flatMap((device): Edit[] => {
    const own = now.get(device.id)
    if (own && own.lineId === device.lineId && own.pieceId === device.pieceId) return []
    // The piece itself was taken away, or its line: the device stays, without one.
    const place = pieceAt(after, device.pieceId)
    if (!place || (own && own.lineId === device.lineId)) return []
    const path = ['returnSide', 'lines', place.line, 'run', 'pieces'] as const
    const pieces = linesOf(after)[place.line]!.run.pieces.filter(({ id }) => id !== place.now.id)
    return [setTo(path, pieces)]
  })
}

/** A device and its piece have one name: that of the end at which it was changed, a new piece its device's. */
function namedAlike(before: BasinDesign, after: BasinDesign): Edit[] {
  return after.sump.devices.flatMap((device, i): Edit[] => {
    const piece = pieceAt(after, device.pieceId)
    if (!piece || piece.now.name === device.name) return []
    const old = stoodIn(before, device.id)
    const oldPiece = pieceAt(before, device.pieceId)
    const isRenamedThere =
      old?.pieceId === device.pieceId &&
      old.name === device.name &&
      oldPiece?.now.name !== piece.now.name
    return isRenamedThere
      ? [setTo(['sump', 'devices', i, 'name'], piece.now.name)]
      : [setTo([...piece.path], { ...piece.now, name: device.name })]
  })
}

/** The piece in a line that a device could be: of its use, and no other device's. */
function freePiece(design: BasinDesign, device: Device, line: ReturnLine): DevicePiece | null {
  const taken = new Set(design.sump.devices.map(({ pieceId }) => pieceId))
  const use = USE_OF_KIND[device.part.kind]
  const found = line.run.pieces.find(
    (piece) => piece.kind === 'device' && piece.use === use && !taken.has(piece.id),
  )
  return (found as DevicePiece | undefined) ?? null
}

/** A piece that was just drawn, or typed anew, is the device of its kind that stands in no line. */
function claimed(before: BasinDesign, after: BasinDesign): Edit[] {
  const known = new Set(linesOf(before).flatMap(({ run }) => run.pieces.map(({ id }) => id)))
  const given = new Set<string>()
  return after.sump.devices.flatMap((device, i): Edit[] => {
    if (device.lineId !== null) return []
    for (const line of linesOf(after)) {
      const piece = freePiece(after, device, line)
      if (!piece || known.has(piece.id) || given.has(piece.id)) continue
      given.add(piece.id)
      return [
        setTo(['sump', 'devices', i, 'lineId'], line.id),
        setTo(['sump', 'devices', i, 'pieceId'], piece.id),
      ]
    }
    return []
  })
}

/** A device that was put into a line is a piece of it: one that waits there, or a new one. */
function putIn(before: BasinDesign, after: BasinDesign): Edit[] {
  return after.sump.devices.flatMap((device, i): Edit[] => {
    const use = USE_OF_KIND[device.part.kind]
    const old = stoodIn(before, device.id)
    if (!use || device.lineId === null || pieceAt(after, device.pieceId)) return []
    if (old && old.lineId === device.lineId) return []
    const at = linesOf(after).findIndex(({ id }) => id === device.lineId)
    const line = linesOf(after)[at]
    if (!line) return []
    const free = freePiece(after, device, line)
    const pieceId = free?.id ?? `${device.id}-piece`
    const path = ['returnSide', 'lines', at, 'run', 'pieces'] as const
    const piece = devicePiece(pieceId, use, { name: device.name })
    return [
      setTo(['sump', 'devices', i, 'pieceId'], pieceId),
      ...(free ? [] : [insertAt(path, endOfRun(line.run).place, piece)]),
    ]
  })
}
