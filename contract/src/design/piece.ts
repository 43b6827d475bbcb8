import { IsObject, ValidateNested } from 'class-validator'
import type { Direction, LossPoint, PieceOf } from '@yew-basin/core'
import { COUNTS, LIMITS } from './limits.ts'
import { PieceMadeDocument } from './made.ts'
import { PipeSizeDocument } from './pipe-size.ts'
import { Id, ByRule, LeftOutOrNull, ListOf, OneOf, Text, Within, WithinOrNull } from './rules.ts'
import { Nested } from '../check/nested.ts'

const KINDS = [
  'pipe',
  'elbow',
  'union',
  'valve',
  'check-valve',
  'reducer',
  'bulkhead',
  'nozzle',
  'tee',
  'device',
  'free-hose',
] as const

/** What every piece has; on its own it is a piece of no known kind. */
export class PieceDocument {
  @Id('Stays with the piece when it is moved; unique in its design.')
  id!: string

  @OneOf(KINDS, 'What the piece is.')
  kind!: (typeof KINDS)[number]

  @Nested(() => PieceMadeDocument)
  @IsObject({ message: 'must be an object' })
  @ValidateNested()
  @LeftOutOrNull('How it is bought and joined.')
  made?: PieceMadeDocument | null
}

class PipePieceDocument extends PieceDocument implements PieceOf<'pipe'> {
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

class ElbowPieceDocument extends PieceDocument implements PieceOf<'elbow'> {
  @OneOf(['elbow'], 'A turn.')
  declare kind: 'elbow'

  @OneOf(
    ['standard-90', 'sweep-90', 'standard-45', 'hose-bend-90'],
    'Standard or long-radius 90°, standard 45°, or a smooth bend of the hose itself.',
  )
  form!: PieceOf<'elbow'>['form']
}

class UnionPieceDocument extends PieceDocument implements PieceOf<'union'> {
  @OneOf(['union'], 'A joint that comes apart.')
  declare kind: 'union'
}

class ValvePieceDocument extends PieceDocument implements PieceOf<'valve'> {
  @OneOf(['valve'], 'A valve that is set by hand.')
  declare kind: 'valve'

  @OneOf(['gate', 'ball', 'diaphragm'], 'Gate, quarter-turn ball, or diaphragm.')
  form!: PieceOf<'valve'>['form']

  @Within(
    LIMITS.opening,
    'Share of its stroke (gate) or quarter turn (ball) that is open; 0 shut, 1 open.',
  )
  @ByRule('opening of a diaphragm valve', (opening, owner) =>
    (owner as ValvePieceDocument).form === 'diaphragm' && opening !== 0 && opening !== 1
      ? 'must be 0 (shut) or 1 (open) for a diaphragm valve: its part-open loss is not known'
      : null,
  )
  opening!: number

  @WithinOrNull(LIMITS.kv, 'A maker’s Kv for the open valve, m³/h at 1 bar.')
  kvM3PerH!: number | null
}

class CheckValvePieceDocument extends PieceDocument implements PieceOf<'check-valve'> {
  @OneOf(['check-valve'], 'Lets nothing back.')
  declare kind: 'check-valve'

  @OneOf(['swing', 'spring'], 'Swing flap, or spring and lift.')
  form!: PieceOf<'check-valve'>['form']

  @WithinOrNull(LIMITS.kv, 'A maker’s Kv, m³/h at 1 bar.')
  kvM3PerH!: number | null
}

class ReducerPieceDocument extends PieceDocument implements PieceOf<'reducer'> {
  @OneOf(['reducer'], 'From here on the run has another size.')
  declare kind: 'reducer'

  @Nested(() => PipeSizeDocument)
  @IsObject({ message: 'must be a pipe size: an object with series, size and boreM' })
  @ValidateNested()
  to!: PipeSizeDocument

  @WithinOrNull(LIMITS.reducerAngle, 'Included angle of a gradual reducer, degrees.')
  angleDeg!: number | null
}

class BulkheadPieceDocument extends PieceDocument implements PieceOf<'bulkhead'> {
  @OneOf(['bulkhead'], 'A fitting through a panel.')
  declare kind: 'bulkhead'

  @WithinOrNull(LIMITS.bore, 'Its own bore, m, where it differs from the pipe’s.')
  boreM!: number | null
}

class NozzlePieceDocument extends PieceDocument implements PieceOf<'nozzle'> {
  @OneOf(['nozzle'], 'The end of the run.')
  declare kind: 'nozzle'

  @Within(LIMITS.bore, 'Bore of its mouth, m.')
  boreM!: number
}

class TeePieceDocument extends PieceDocument implements PieceOf<'tee'> {
  @OneOf(['tee'], 'Where another line leaves or joins; with none it is plugged.')
  declare kind: 'tee'

  @OneOf(
    ['side', 'straight', 'split'],
    'The other line stands at the side; it goes straight on and this one turns; or both turn.',
  )
  form!: PieceOf<'tee'>['form']
}

/** A point of a printed loss as it is stored. */
export class LossPointDocument implements LossPoint {
  @Within(LIMITS.pumpFlow, 'Flow, m³/s.')
  flowM3PerS!: number

  @Within(LIMITS.pumpHead, 'Head lost at that flow, m.')
  headM!: number
}

class DevicePieceDocument extends PieceDocument implements PieceOf<'device'> {
  @OneOf(['device'], 'Something the water passes that is no plumbing.')
  declare kind: 'device'

  @OneOf(
    ['reactor', 'scrubber', 'chiller', 'heater', 'sterilizer', 'other'],
    'What it is for; its loss does not depend on it.',
  )
  use!: PieceOf<'device'>['use']

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @OneOf(['k', 'kv', 'table'], 'Which of the three figures below counts.')
  by!: PieceOf<'device'>['by']

  @Within(LIMITS.loss, 'K on the bore of its line.')
  k!: number

  @Within(LIMITS.kv, 'Kv, m³/h at 1 bar.')
  kvM3PerH!: number

  @ListOf(0, COUNTS.curvePoints, 'Printed head loss; flow and head rise from above zero.')
  @Nested(() => LossPointDocument)
  @ValidateNested({ each: true })
  @ByRule('a usable table', (_, owner) => tableFault(owner as DevicePieceDocument))
  table!: LossPointDocument[]
}

function tableFault({ by, table }: DevicePieceDocument): string | null {
  if (!Array.isArray(table)) return null
  if (by === 'table' && table.length === 0) return 'must have a point or more where it counts'
  const last = { flowM3PerS: 0, headM: 0 }
  for (const [i, point] of table.entries()) {
    if (typeof point !== 'object' || point === null) return null
    if (!(point.flowM3PerS > last.flowM3PerS))
      return `flow must rise from zero: point ${i + 1} does not`
    if (!(point.headM > last.headM)) return `head must rise from zero: point ${i + 1} does not`
    Object.assign(last, point)
  }
  return null
}

class FreeHosePieceDocument extends PieceDocument implements PieceOf<'free-hose'> {
  @OneOf(['free-hose'], 'Hose that curves freely to a place.')
  declare kind: 'free-hose'

  @Within(LIMITS.pipeLength, 'Length it is cut to, m.')
  lengthM!: number

  @Within(LIMITS.by, 'Its end to the right of its start, m; minus: to the left.')
  byXM!: number

  @Within(LIMITS.by, 'Its end behind its start, m; minus: in front.')
  byYM!: number

  @Within(LIMITS.by, 'Its end above its start, m; minus: below.')
  byZM!: number
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
  { name: 'tee', value: TeePieceDocument },
  { name: 'device', value: DevicePieceDocument },
  { name: 'free-hose', value: FreeHosePieceDocument },
]
