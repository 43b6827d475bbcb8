import type { BasinDesign, Device } from '../design/index.ts'
import { flatMap } from '../numeric/index.ts'
import { adapterLosses, type LaidRun, type Piece } from '../run/index.ts'

/** Where a piece of a run is a device whose ports have a bore of their own. */
export interface Port {
  readonly pieceId: string
  readonly boreM: number
}

/** Which piece of a run a device is: the one it is set to, else the one of its use, else the only kind of device there is; −1: none. */
export function pieceOfDevice(
  pieces: readonly Piece[],
  { pieceId, part: { kind } }: Pick<Device, 'pieceId' | 'part'>,
): number {
  const set = pieceId === null ? -1 : pieces.findIndex(({ id }) => id === pieceId)
  if (set >= 0) return set
  const own = pieces.findIndex((piece) => piece.kind === 'device' && piece.use === kind)
  return own >= 0 ? own : pieces.findIndex((piece) => piece.kind === 'device')
}

/** The ports of a design's sterilizers, where a line has them among its pieces. */
export function portsOf({ sump, returnSide }: BasinDesign): Port[] {
  return flatMap(sump.devices, (device): Port[] => {
    const { lineId, part } = device
    if (!part.sterilizer) return []
    const line = returnSide.lines.find(({ id }) => id === lineId)
    const piece = line?.run.pieces[pieceOfDevice(line.run.pieces, device)]
    return piece ? [{ pieceId: piece.id, boreM: part.sterilizer.portBoreM }] : []
  })
}

/** A run with the adapters to and from each device's ports, counted on the device's piece. */
export function withPorts(laid: LaidRun, ports: readonly Port[]): LaidRun {
  if (ports.length === 0) return laid
  const losses = laid.losses.map((loss, i) => {
    const { piece, boreBeforeM } = laid.placed[i]!
    const port = ports.find(({ pieceId }) => pieceId === piece.id)
    if (!port || port.boreM === boreBeforeM) return loss
    const adapters = [
      ...adapterLosses(boreBeforeM, port.boreM),
      ...adapterLosses(port.boreM, boreBeforeM),
    ]
    return { ...loss, fittings: [...loss.fittings, ...adapters] }
  })
  return { ...laid, losses }
}
