import { type BasinDesign, type Device, type Edit, insertAt } from '../design/index.ts'
import type { DevicePart } from '../device/index.ts'
import type { DevicePiece } from '../run/index.ts'
import { USUAL_SHARE } from './branch/tee-off-device.ts'
import { newDevice } from './new-device.ts'
import { USE_OF_KIND } from './run/new-piece.ts'

/**
 * The devices of pieces that were drawn into lines and are nobody's yet: the part of that kind whose
 * window lies nearest to the flow, to be exchanged at its stop. A kind without a part gets none.
 *
 * @param returnM3PerS what the return carries: a takeoff may have its usual share of it
 */
export function devicesOfPieces(
  before: BasinDesign,
  after: BasinDesign,
  {
    parts,
    returnM3PerS,
    newId,
  }: {
    readonly parts: readonly DevicePart[]
    readonly returnM3PerS: number
    readonly newId: () => string
  },
): Edit[] {
  const known = new Set(devicePieces(before).map(({ piece }) => keyOf(piece)))
  const taken = new Set(after.sump.devices.map(({ pieceId }) => pieceId))
  const made: Device[] = []
  for (const { lineId, piece } of devicePieces(after)) {
    const part = partFor(piece, parts, USUAL_SHARE * returnM3PerS)
    if (!part || known.has(keyOf(piece)) || taken.has(piece.id)) continue
    const device = newDevice(after, part, newId())
    made.push({ ...device, name: piece.name, lineId, pieceId: piece.id })
  }
  const { length } = after.sump.devices
  return made.map((device, i) => insertAt(['sump', 'devices'], length + i, device))
}

/** The devices among the pieces of all lines. */
const devicePieces = ({ returnSide }: BasinDesign) =>
  returnSide.lines.flatMap(({ id: lineId, run }) =>
    run.pieces.flatMap((piece) => (piece.kind === 'device' ? [{ lineId, piece }] : [])),
  )

/** A piece that is put to another use is another device. */
const keyOf = ({ id, use }: DevicePiece) => `${id} ${use}`

function partFor(
  { use }: DevicePiece,
  parts: readonly DevicePart[],
  flowM3PerS: number,
): DevicePart | null {
  const off = ({ window }: DevicePart) =>
    window === null
      ? Infinity
      : Math.max(0, window.leastM3PerS - flowM3PerS, flowM3PerS - window.mostM3PerS)
  const [best] = parts
    .filter(({ kind }) => USE_OF_KIND[kind] === use)
    .toSorted((a, b) => off(a) - off(b) || a.priceClass - b.priceClass)
  return best ?? null
}
