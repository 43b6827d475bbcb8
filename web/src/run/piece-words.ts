import type { PartAnswer } from '@yew-basin/contract'
import { building, type Piece, editing } from '@yew-basin/core'

/** A piece the keeper can put in, as the list of new pieces names it. */
export interface NewPiece {
  readonly label: string
  readonly make: (id: string, around: editing.Around) => Piece
}

const KINDS: Readonly<Record<Piece['kind'], string>> = {
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

/** Nothing meets a new tee yet. */
export const NEW_PIECES: readonly NewPiece[] = (Object.keys(KINDS) as Piece['kind'][]).map(
  (kind) => ({
    label: kind === 'tee' ? 'Tee, plugged' : KINDS[kind],
    make: (id, around) => editing.newPiece(kind, id, around),
  }),
)

export function kindWords(kind: Piece['kind']): string {
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

/** A piece keeps the id of the part that it was taken from; of its joints nothing is said. */
const takenFrom = ({ id }: PartAnswer) => ({
  made: { ...building.MADE_AS_USUAL, partId: id },
})

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
        make: (id) => editing.devicePiece(id, part.kind, { name: part.name }),
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
          ...editing.devicePiece(id, 'other', { name: part.name, k: part.spec.k }),
          ...takenFrom(part),
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
          ...takenFrom(part),
        }),
      }
    case 'nozzle':
      return {
        label: part.name,
        make: (id) => ({ id, kind: 'nozzle', boreM: part.spec.boreM, ...takenFrom(part) }),
      }
    case 'bulkhead':
      return {
        label: `Bulkhead ${part.name}`,
        make: (id) => ({ id, kind: 'bulkhead', boreM: part.spec.boreM, ...takenFrom(part) }),
      }
  }
}
