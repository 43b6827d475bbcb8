import type { PartAnswer } from '@yew-basin/contract'
import type { Piece, PieceKind } from '@yew-basin/core'

/** A piece the keeper can put in, as the list of new pieces names it. */
export interface NewPiece {
  readonly label: string
  readonly make: (
    id: string,
    around: { boreM: number; size: Extract<Piece, { kind: 'reducer' }>['to'] },
  ) => Piece
}

export const NEW_PIECES: readonly NewPiece[] = [
  { label: 'Pipe', make: (id) => ({ id, kind: 'pipe', direction: 'up', lengthM: 0.2 }) },
  { label: 'Elbow', make: (id) => ({ id, kind: 'elbow', form: 'standard-90' }) },
  { label: 'Union', make: (id) => ({ id, kind: 'union' }) },
  {
    label: 'Valve',
    make: (id) => ({ id, kind: 'valve', form: 'gate', opening: 1, kvM3PerH: null }),
  },
  {
    label: 'Check valve',
    make: (id) => ({ id, kind: 'check-valve', form: 'swing', kvM3PerH: null }),
  },
  { label: 'Reducer', make: (id, { size }) => ({ id, kind: 'reducer', to: size, angleDeg: null }) },
  { label: 'Bulkhead', make: (id) => ({ id, kind: 'bulkhead', boreM: null }) },
  {
    label: 'Nozzle',
    make: (id, { boreM }) => ({ id, kind: 'nozzle', boreM: Math.max(0.003, boreM * 0.8) }),
  },
  { label: 'Tee, plugged', make: (id) => ({ id, kind: 'tee', form: 'side' }) },
  {
    label: 'Device',
    make: (id) => ({
      id,
      kind: 'device',
      use: 'reactor',
      name: 'Reactor',
      by: 'k',
      k: 10,
      kvM3PerH: 5,
      table: [],
    }),
  },
  {
    label: 'Free hose',
    make: (id) => ({ id, kind: 'free-hose', lengthM: 0.5, byXM: 0.3, byYM: 0, byZM: 0.3 }),
  },
]

const KINDS: Readonly<Record<PieceKind, string>> = {
  pipe: 'Pipe',
  elbow: 'Elbow',
  union: 'Union',
  valve: 'Valve',
  'check-valve': 'Check valve',
  reducer: 'Reducer',
  bulkhead: 'Bulkhead',
  nozzle: 'Nozzle',
  tee: 'Tee',
  device: 'Device',
  'free-hose': 'Free hose',
}

export function kindWords(kind: PieceKind): string {
  return KINDS[kind]
}

export const ELBOW_FORMS = [
  { value: 'standard-90', label: '90° standard' },
  { value: 'sweep-90', label: '90° sweep' },
  { value: 'standard-45', label: '45°' },
  { value: 'hose-bend-90', label: '90° bend of hose' },
] as const

export const VALVE_FORMS = [
  { value: 'gate', label: 'gate' },
  { value: 'ball', label: 'ball' },
  { value: 'diaphragm', label: 'diaphragm' },
] as const

export const CHECK_FORMS = [
  { value: 'swing', label: 'swing' },
  { value: 'spring', label: 'spring' },
] as const

export const TEE_FORMS = [
  { value: 'side', label: 'the other line at the side' },
  { value: 'straight', label: 'the other line straight on' },
  { value: 'split', label: 'in at the side, both turn' },
] as const

export const DEVICE_USES = [
  { value: 'reactor', label: 'reactor' },
  { value: 'scrubber', label: 'algae scrubber' },
  { value: 'chiller', label: 'chiller' },
  { value: 'heater', label: 'heater' },
  { value: 'sterilizer', label: 'sterilizer' },
  { value: 'other', label: 'something else' },
] as const

export const DEVICE_LOSSES = [
  { value: 'k', label: 'a fixed K' },
  { value: 'kv', label: 'Kv or Cv' },
  { value: 'table', label: 'a printed table' },
] as const

/** Of a device whose maker prints no loss: two wide bends and a body (choice). */
const DEVICE_K = 6

/** A part of the library or of the keeper's own as a piece with its figures; a pump is none. */
export function pieceOfPart(part: PartAnswer): NewPiece | null {
  switch (part.kind) {
    case 'pump':
    case 'skimmer':
    case 'heater':
    case 'flow-meter':
    case 'circulation':
      return null
    case 'sterilizer':
    case 'chiller':
    case 'reactor':
    case 'scrubber':
      return {
        label: part.name,
        make: (id) => ({
          id,
          kind: 'device',
          use: part.kind,
          name: part.name,
          by: 'k',
          k: DEVICE_K,
          kvM3PerH: 5,
          table: [],
        }),
      }
    case 'pipe':
    case 'hose':
      return {
        label: `On in ${part.name}`,
        make: (id) => ({ id, kind: 'reducer', to: part.spec, angleDeg: null }),
      }
    case 'fitting':
      return {
        label: part.name,
        make: (id) => ({
          id,
          kind: 'device',
          use: 'other',
          name: part.name,
          by: 'k',
          k: part.spec.k,
          kvM3PerH: 5,
          table: [],
        }),
      }
    case 'valve':
      return {
        label: part.name,
        make: (id) => ({
          id,
          kind: 'valve',
          form: part.spec.form,
          opening: 1,
          kvM3PerH: part.spec.kvM3PerH,
        }),
      }
    case 'nozzle':
      return {
        label: part.name,
        make: (id) => ({ id, kind: 'nozzle', boreM: part.spec.boreM }),
      }
    case 'bulkhead':
      return {
        label: `Bulkhead ${part.name}`,
        make: (id) => ({ id, kind: 'bulkhead', boreM: part.spec.boreM }),
      }
  }
}
