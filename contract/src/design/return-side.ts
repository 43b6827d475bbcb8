import { IsBoolean, IsObject, ValidateNested } from 'class-validator'
import type { building, LineEnd, LineStart, PlacedPump, ReturnLine } from '@yew-basin/core'
import { COUNTS, LIMITS } from './limits.ts'
import {
  Id,
  IdOrNull,
  ListOf,
  OneOf,
  OrNull,
  Describes,
  Text,
  Within,
  WithinOrNull,
} from './rules.ts'
import { PointDocument } from './point.ts'
import { RunDocument } from './run.ts'
import { Nested } from '../check/nested.ts'
import { JointOrLeftOut } from './made.ts'

const aPlace = { message: 'must be a place: an object with xM, yM and zM' }

/** A pump where it stands. */
export class PlacedPumpDocument implements PlacedPump {
  @Id('Names the place; lines start from it.')
  id!: string

  @Id('The pump that stands there, one of the design’s pumps.')
  pumpId!: string

  @Within(LIMITS.speed, 'Share of full speed; 1 for a pump of one speed.')
  speed!: number

  @IsBoolean({ message: 'must be true or false' })
  @Describes('Switched off: an open pipe.')
  stopped!: boolean

  @Id('The chamber it draws from.')
  chamberId!: string

  @Nested(() => PointDocument)
  @IsObject(aPlace)
  @ValidateNested()
  outlet!: PointDocument

  @JointOrLeftOut('How its outlet is joined.')
  joint?: building.EndKind | null

  @WithinOrNull(LIMITS.sourceLevel, 'Height of its inlet over the room’s floor, m.')
  inletHeightM!: number | null
}

/** Where a line’s water comes from. */
export class LineStartDocument implements LineStart {
  @OneOf(['pump', 'tee'], 'A placed pump, or a tee of another line.')
  at!: 'pump' | 'tee'

  @Id('The placed pump, or the tee’s piece.')
  id!: string
}

/** Where a line ends. */
export class LineEndDocument implements LineEnd {
  @OneOf(
    ['tank', 'chamber', 'tee', 'cap'],
    'Over or in a tank or a chamber, in a tee of another line, or capped.',
  )
  at!: 'tank' | 'chamber' | 'tee' | 'cap'

  @IdOrNull('The tank, chamber or tee; null when capped.')
  id!: string | null

  @Nested(() => PointDocument)
  @IsObject(aPlace)
  @ValidateNested()
  @OrNull('The bulkhead or clip it must reach; null: wherever its pieces lead.')
  place!: PointDocument | null

  @WithinOrNull(LIMITS.breakDepth, 'How far under the running surface a hole breaks its siphon, m.')
  breakDepthM!: number | null
}

/** One line of the return side. */
export class ReturnLineDocument implements ReturnLine {
  @Id('Names the line in this design.')
  id!: string

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @Nested(() => LineStartDocument)
  @IsObject({ message: 'must be a start: an object with at and id' })
  @ValidateNested()
  start!: LineStartDocument

  @Nested(() => RunDocument)
  @IsObject({ message: 'must be a run: an object with size, pieces, roughnessM and ribbedFactor' })
  @ValidateNested()
  run!: RunDocument

  @Nested(() => LineEndDocument)
  @IsObject({ message: 'must be an end: an object with at, id, place and breakDepthM' })
  @ValidateNested()
  end!: LineEndDocument

  @WithinOrNull(LIMITS.wantedFlow, 'What the keeper wants at its end, m³/s.')
  wantedFlowM3PerS!: number | null
}

/** From the sump back to the tanks. */
export class ReturnSideDocument {
  @ListOf(1, COUNTS.placedPumps, 'Pumps where they stand.')
  @Nested(() => PlacedPumpDocument)
  @ValidateNested({ each: true })
  pumps!: PlacedPumpDocument[]

  @ListOf(1, COUNTS.lines, 'Lines, each from a pump or a tee to its end.')
  @Nested(() => ReturnLineDocument)
  @ValidateNested({ each: true })
  lines!: ReturnLineDocument[]

  @IdOrNull('A pump on the shelf, one of the design’s pumps; null: none.')
  sparePumpId!: string | null

  @WithinOrNull(LIMITS.ownShare, 'Of its printed most flow, what the keeper’s last pump gave.')
  ownShare!: number | null
}
