import { IsObject, ValidateNested } from 'class-validator'
import type { building } from '@yew-basin/core'
import { Nested } from '../check/nested.ts'
import { COUNTS, LIMITS } from './limits.ts'
import {
  DayOrNull,
  Id,
  ListOf,
  OneOf,
  OrNull,
  Text,
  TextsOf,
  Within,
  WithinOrNull,
} from './rules.ts'

const TAKE_OFF_KINDS = [
  'elbow-90',
  'elbow-45',
  'tee',
  'coupling',
  'union',
  'valve',
  'bulkhead',
  'adapter',
  'cap',
  'device',
  'open-end',
] as const satisfies readonly building.OwnTakeOff['kind'][]

/** A take-off measured on a fitting. */
export class TakeOffDocument implements building.OwnTakeOff {
  @OneOf(TAKE_OFF_KINDS, 'What the pipe goes into.')
  kind!: building.OwnTakeOff['kind']

  @OneOf(['metric', 'inch'], 'By outside diameter in mm, or by trade inches.')
  system!: building.OwnTakeOff['system']

  @Text(COUNTS.sizeLength, 'The size as it is asked for: "32", "1 1/4".')
  size!: string

  @Within(LIMITS.takeOff, 'From its middle to the bottom of its socket, m.')
  zM!: number

  @Within(LIMITS.takeOff, 'How deep its socket is, m.')
  depthM!: number
}

/** The panels of one tank. */
export class TankPanelsDocument implements building.TankPanels {
  @Id('The tank.')
  tankId!: string

  @OneOf(['glass', 'acrylic'], 'What they are made of.')
  material!: building.TankPanels['material']

  @WithinOrNull(LIMITS.panel, 'Their thickness, m.')
  thicknessM!: number | null
}

/** A level’s readings at a stand’s corners. */
export class CornerReadingsDocument implements building.CornerReadings {
  @WithinOrNull(LIMITS.cornerReading, 'Front left, m over one level line.')
  frontLeftM!: number | null

  @WithinOrNull(LIMITS.cornerReading, 'Front right, m.')
  frontRightM!: number | null

  @WithinOrNull(LIMITS.cornerReading, 'Back left, m.')
  backLeftM!: number | null

  @WithinOrNull(LIMITS.cornerReading, 'Back right, m.')
  backRightM!: number | null
}

/** What the keeper said of building. */
export class BuildPlanDocument implements building.BuildPlan {
  @Within(LIMITS.stock, 'Length that metric pipe is sold in, m.')
  metricStockM!: number

  @Within(LIMITS.stock, 'Length that inch pipe is sold in, m.')
  inchStockM!: number

  @Within(LIMITS.sawCut, 'Width of a saw cut, m.')
  sawCutM!: number

  @Within(LIMITS.sparesShare, 'Share of the fittings that is bought to spare.')
  sparesShare!: number

  @ListOf(0, COUNTS.takeOffs, 'Take-offs measured on the keeper’s own fittings.')
  @Nested(() => TakeOffDocument)
  @ValidateNested({ each: true })
  takeOffs!: TakeOffDocument[]

  @Within(LIMITS.boundInMix, 'Share of water bound in the salt mix.')
  boundInMix!: number

  @Within(LIMITS.liftKg, 'What one person lifts, kg.')
  liftKg!: number

  @WithinOrNull(LIMITS.wantedFlow, 'What fills the tank, m³/s.')
  fillM3PerS!: number | null

  @Within(LIMITS.roomTemperature, 'Where it is glued, °C.')
  roomC!: number

  @WithinOrNull(LIMITS.emptyKg, 'Weight of all stands, kg.')
  standKg!: number | null

  @WithinOrNull(LIMITS.emptyKg, 'Weight of the empty sump, kg.')
  sumpKg!: number | null

  @Within(LIMITS.feet, 'Feet that it all stands on.')
  feet!: number

  @ListOf(0, COUNTS.tanks, 'Panels of the tanks; without: not set.')
  @Nested(() => TankPanelsDocument)
  @ValidateNested({ each: true })
  panels!: TankPanelsDocument[]

  @TextsOf(
    { most: COUNTS.tanks, length: 64 },
    'Tanks whose bulkheads go in once they stand; those of the others go in before they are lifted.',
  )
  bulkheadsAfter!: string[]

  @DayOrNull('The day that building begins; null: not set.')
  startsOn!: string | null

  @Nested(() => CornerReadingsDocument)
  @IsObject({ message: 'must be an object' })
  @ValidateNested()
  @OrNull('A level’s readings at the stand’s corners; null: not read.')
  corners!: CornerReadingsDocument | null
}
