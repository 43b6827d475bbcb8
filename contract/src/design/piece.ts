import { Type } from 'class-transformer'
import { IsObject, ValidateNested } from 'class-validator'
import type {
  BulkheadPiece,
  CheckValveForm,
  CheckValvePiece,
  Direction,
  ElbowForm,
  ElbowPiece,
  NozzlePiece,
  PipePiece,
  ReducerPiece,
  UnionPiece,
  ValveForm,
  ValvePiece,
} from '@yew-basin/core'
import { LIMITS } from './limits.ts'
import { PipeSizeDocument } from './pipe-size.ts'
import { Id, Judged, OneOf, Within, WithinOrNull } from './rules.ts'

const KINDS = [
  'pipe',
  'elbow',
  'union',
  'valve',
  'check-valve',
  'reducer',
  'bulkhead',
  'nozzle',
] as const

/** What every piece has; on its own it is a piece of no known kind. */
export class PieceDocument {
  @Id('Stays with the piece when it is moved; unique in its run.')
  id!: string

  @OneOf(KINDS, 'What the piece is.')
  kind!: (typeof KINDS)[number]
}

class PipePieceDocument extends PieceDocument implements PipePiece {
  @OneOf(['pipe'], 'A straight length of the current pipe or hose.')
  declare kind: 'pipe'

  @Within(LIMITS.pipeLength, 'Length centre to centre of its fittings, m.')
  lengthM!: number

  @OneOf(
    ['up', 'down', 'left', 'right', 'front', 'back'],
    'Way the water goes, seen from the front of the tank.',
  )
  direction!: Direction
}

class ElbowPieceDocument extends PieceDocument implements ElbowPiece {
  @OneOf(['elbow'], 'A turn.')
  declare kind: 'elbow'

  @OneOf(
    ['standard-90', 'sweep-90', 'standard-45', 'hose-bend-90'],
    'Standard or long-radius 90°, standard 45°, or a smooth bend of the hose itself.',
  )
  form!: ElbowForm
}

class UnionPieceDocument extends PieceDocument implements UnionPiece {
  @OneOf(['union'], 'A joint that comes apart.')
  declare kind: 'union'
}

class ValvePieceDocument extends PieceDocument implements ValvePiece {
  @OneOf(['valve'], 'A valve that is set by hand.')
  declare kind: 'valve'

  @OneOf(['gate', 'ball', 'diaphragm'], 'Gate, quarter-turn ball, or diaphragm.')
  form!: ValveForm

  @Within(
    LIMITS.opening,
    'Share of its stroke (gate) or quarter turn (ball) that is open; 0 shut, 1 open.',
  )
  @Judged('opening of a diaphragm valve', (opening, owner) =>
    (owner as ValvePieceDocument).form === 'diaphragm' && opening !== 0 && opening !== 1
      ? 'must be 0 (shut) or 1 (open) for a diaphragm valve: its part-open loss is not known'
      : null,
  )
  opening!: number

  @WithinOrNull(LIMITS.kv, 'A maker’s Kv for the open valve, m³/h at 1 bar.')
  kvM3PerH!: number | null
}

class CheckValvePieceDocument extends PieceDocument implements CheckValvePiece {
  @OneOf(['check-valve'], 'Lets nothing back.')
  declare kind: 'check-valve'

  @OneOf(['swing', 'spring'], 'Swing flap, or spring and lift.')
  form!: CheckValveForm

  @WithinOrNull(LIMITS.kv, 'A maker’s Kv, m³/h at 1 bar.')
  kvM3PerH!: number | null
}

class ReducerPieceDocument extends PieceDocument implements ReducerPiece {
  @OneOf(['reducer'], 'From here on the run has another size.')
  declare kind: 'reducer'

  @Type(() => PipeSizeDocument)
  @IsObject({ message: 'must be a pipe size: an object with series, size and boreM' })
  @ValidateNested()
  to!: PipeSizeDocument

  @WithinOrNull(LIMITS.reducerAngle, 'Included angle of a gradual reducer, degrees.')
  angleDeg!: number | null
}

class BulkheadPieceDocument extends PieceDocument implements BulkheadPiece {
  @OneOf(['bulkhead'], 'A fitting through a panel.')
  declare kind: 'bulkhead'

  @WithinOrNull(LIMITS.bore, 'Its own bore, m, where it differs from the pipe’s.')
  boreM!: number | null
}

class NozzlePieceDocument extends PieceDocument implements NozzlePiece {
  @OneOf(['nozzle'], 'The end of the run.')
  declare kind: 'nozzle'

  @Within(LIMITS.bore, 'Bore of its mouth, m.')
  boreM!: number
}

/** Class of each kind, for reading a stored list. */
export const PIECE_CLASSES = [
  { name: 'pipe', value: PipePieceDocument },
  { name: 'elbow', value: ElbowPieceDocument },
  { name: 'union', value: UnionPieceDocument },
  { name: 'valve', value: ValvePieceDocument },
  { name: 'check-valve', value: CheckValvePieceDocument },
  { name: 'reducer', value: ReducerPieceDocument },
  { name: 'bulkhead', value: BulkheadPieceDocument },
  { name: 'nozzle', value: NozzlePieceDocument },
]
