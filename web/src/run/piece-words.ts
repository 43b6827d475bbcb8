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
