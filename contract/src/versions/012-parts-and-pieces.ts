import { asPlain, eachOf, isPlain, type Plain } from './plain.ts'

/**
 * Format 12 knows which part a pump was taken from, and which piece of its line a device is. A pump was
 * called by its part’s id before. A device is the first piece of its kind in its line that is no other’s.
 */
export function partsAndPieces(document: unknown): unknown {
  const { pumps, sump, ...other } = asPlain(document)
  return {
    ...other,
    pumps: eachOf(pumps, (pump) => ({ ...pump, partId: pump.id ?? null })),
    sump: isPlain(sump) ? { ...sump, devices: standing(sump.devices, asPlain(other)) } : sump,
  }
}

function standing(devices: unknown, design: Plain): unknown {
  const taken = new Set<unknown>()
  return eachOf(devices, (device) => {
    const { lineId, part } = device
    const kind = isPlain(part) ? part.kind : null
    if (!lineId || device.pieceId || kind === 'flow-meter') return device
    const piece = piecesOf(design, lineId).find(
      ({ kind: of, use, id }) => of === 'device' && use === kind && !taken.has(id),
    )
    taken.add(piece?.id)
    return { ...device, pieceId: piece?.id ?? null }
  })
}

function piecesOf({ returnSide }: Plain, lineId: unknown): readonly Plain[] {
  const lines = isPlain(returnSide) && Array.isArray(returnSide.lines) ? returnSide.lines : []
  const line: unknown = lines.find((entry) => isPlain(entry) && entry.id === lineId)
  const { run } = asPlain(line)
  return isPlain(run) && Array.isArray(run.pieces) ? run.pieces.filter(isPlain) : []
}
