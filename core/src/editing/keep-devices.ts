import {
  type BasinDesign,
  chamberSpans,
  type Device,
  type Edit,
  setTo,
  type Sump,
} from '../design/index.ts'

/**
 * The edits that keep every device with its chamber and its line after a design was changed: a chamber
 * that is gone gives its devices to the first of the same use, chambers in another order take theirs
 * along, and a line that is gone lets go of them.
 */
export function keepDevices(before: BasinDesign, after: BasinDesign): Edit[] {
  if (before.sump === after.sump && before.returnSide === after.returnSide) return []
  const lines = new Set(after.returnSide.lines.map(({ id }) => id))
  return after.sump.devices.flatMap((device, i): Edit[] => {
    const chamberId = chamberAfter(before.sump, after.sump, device)
    const lineId = device.lineId !== null && lines.has(device.lineId) ? device.lineId : null
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

/** How far its chamber went, where chambers came, went or changed places; a wall that is moved takes nothing along. */
function shiftOf(before: Sump, after: Sump, device: Device, nowIn: string | null): number {
  const old = before.devices.find(({ id }) => id === device.id)
  if (!before.box || !after.box || nowIn === null || !old || old.xM !== device.xM) return 0
  if (old.chamberId !== device.chamberId) return 0
  const order = ({ chambers }: Sump) => chambers.map(({ id }) => id).join()
  if (order(before) === order(after)) return 0
  const from = leftOf(before, before.box.lengthM, device.chamberId)
  const to = leftOf(after, after.box.lengthM, nowIn)
  return from === null || to === null ? 0 : to - from
}

function leftOf(sump: Sump, lengthM: number, chamberId: string | null): number | null {
  const at = sump.chambers.findIndex(({ id }) => id === chamberId)
  return at < 0 ? null : chamberSpans(sump, lengthM)[at]!.fromM
}
