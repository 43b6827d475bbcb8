import type { DeviceKind } from '../../device/index.ts'
import { boreOf, type PipeSize } from '../../pipe/index.ts'
import type { DevicePiece, Piece, PieceKind, Run } from '../../run/index.ts'

/** Of a device whose maker prints no loss: two wide bends and a body (choice). */
const DEVICE_K = 6
/** Kv that a device begins with when it is given that way, m³/h (choice). */
const DEVICE_KV_M3_PER_H = 5
/** A nozzle's mouth beside the pipe it ends (choice), and the least there is, m. */
const NOZZLE_SHARE = 0.8
const LEAST_NOZZLE_M = 0.003

/** What a new piece is put onto. */
export interface Around {
  readonly size: PipeSize
  readonly boreM: number
}

/** A device's kind as a piece of a line; one that is not here is a pipe's, or stands in the water alone. */
export const USE_OF_KIND: Readonly<Partial<Record<DeviceKind, DevicePiece['use']>>> = {
  sterilizer: 'sterilizer',
  reactor: 'reactor',
  scrubber: 'scrubber',
  chiller: 'chiller',
  heater: 'heater',
}

/** A device in a line, by a fixed K. */
export function devicePiece(
  id: string,
  use: DevicePiece['use'],
  { name, k = DEVICE_K }: { readonly name: string; readonly k?: number },
): DevicePiece {
  return { id, kind: 'device', use, name, by: 'k', k, kvM3PerH: DEVICE_KV_M3_PER_H, table: [] }
}

/** A piece of a kind as a keeper would begin with it, to be changed from there. */
export function newPiece(kind: PieceKind, id: string, { size, boreM }: Around): Piece {
  switch (kind) {
    case 'pipe':
      return { id, kind, direction: 'up', lengthM: 0.2 }
    case 'elbow':
      return { id, kind, form: 'standard-90' }
    case 'union':
      return { id, kind }
    case 'valve':
      return { id, kind, form: 'gate', opening: 1, kvM3PerH: null }
    case 'check-valve':
      return { id, kind, form: 'swing', kvM3PerH: null }
    case 'reducer':
      return { id, kind, to: size, angleDeg: null }
    case 'bulkhead':
      return { id, kind, boreM: null }
    case 'nozzle':
      return { id, kind, boreM: Math.max(LEAST_NOZZLE_M, boreM * NOZZLE_SHARE) }
    case 'tee':
      return { id, kind, form: 'side' }
    case 'device':
      return devicePiece(id, 'reactor', { name: 'Reactor' })
    case 'free-hose':
      return { id, kind, lengthM: 0.5, byXM: 0.3, byYM: 0, byZM: 0.3 }
  }
}

/** Where a new piece goes in a run, and onto what: last, but before a nozzle. */
export function endOfRun({ pieces, size }: Run): Around & { readonly place: number } {
  const last = pieces.reduce((now, piece) => (piece.kind === 'reducer' ? piece.to : now), size)
  const place = pieces.at(-1)?.kind === 'nozzle' ? pieces.length - 1 : pieces.length
  return { size: last, boreM: boreOf(last).boreM, place }
}
