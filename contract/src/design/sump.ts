import { IsBoolean, IsObject, ValidateNested } from 'class-validator'
import type {
  ChamberUse,
  Sump,
  SumpBox,
  SumpChamber,
  SumpWall,
  TopOff,
  WallKind,
} from '@yew-basin/core'
import { CabinetDocument, DeviceDocument } from './device.ts'
import { COUNTS, LIMITS } from './limits.ts'
import { TeethDocument } from './overflow.ts'
import { Id, ListOf, OneOf, OrNull, Describes, Text, Within, WithinOrNull } from './rules.ts'
import { CHAMBER_USES, WALL_KINDS } from './way-words.ts'
import { Nested } from '../check/nested.ts'

const anObject = { message: 'must be an object' }
const aSwitch = { message: 'must be true or false' }

/** Depths that a skimmer works in. */
export class DepthRangeDocument {
  @Within(LIMITS.sumpHeight, 'Least depth, m.')
  leastM!: number

  @Within(LIMITS.sumpHeight, 'Most depth, m.')
  mostM!: number
}

/** A chamber of the sump. */
export class ChamberDocument implements SumpChamber {
  @Id('Names the chamber in this design.')
  id!: string

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @OneOf(CHAMBER_USES, 'What it is for.')
  use!: ChamberUse

  @Within(
    LIMITS.sourceLevel,
    'Level that the keeper fills to, over the room’s floor, m; in a sump with sizes it counts for the return chamber and a reservoir.',
  )
  levelM!: number

  @Within(LIMITS.footprint, 'Section of what stands in it through the surface, m².')
  footprintM2!: number

  @Within(LIMITS.submerged, 'What lies in it under water, m³.')
  submergedM3!: number

  @Nested(() => DepthRangeDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('Depths its skimmer works in; null: none set.')
  wantsDepth!: DepthRangeDocument | null
}

/** The sump’s inside. */
export class SumpBoxDocument implements SumpBox {
  @OneOf(['bought', 'self-built'], 'How the keeper comes by it.')
  make!: 'bought' | 'self-built'

  @Within(LIMITS.place, 'Its left inside face, to the right of the room’s zero, m.')
  xM!: number

  @Within(LIMITS.place, 'Its front inside face, behind the room’s zero, m.')
  yM!: number

  @Within(LIMITS.floorHeight, 'Its inside floor over the room’s floor, m.')
  floorHeightM!: number

  @Within(LIMITS.sumpLength, 'Inside length, left to right, m.')
  lengthM!: number

  @Within(LIMITS.sumpLength, 'Inside width, front to back, m.')
  widthM!: number

  @Within(LIMITS.sumpHeight, 'Height of its rim over its inside floor, m.')
  heightM!: number

  @Within(LIMITS.panel, 'Thickness of its panels, m.')
  panelM!: number
}

/** A wall between two chambers. */
export class SumpWallDocument implements SumpWall {
  @Id('Names the wall in this design.')
  id!: string

  @OneOf(WALL_KINDS, 'How water passes it.')
  kind!: WallKind

  @Within(LIMITS.wallPlace, 'Its left face from the sump’s left inside face, m.')
  atM!: number

  @Within(LIMITS.panel, 'Its thickness, m.')
  thicknessM!: number

  @Within(LIMITS.wallTop, 'Its top over the sump’s inside floor, m.')
  topM!: number

  @Within(LIMITS.slot, 'Height of the slot under it, m; 0 but for an under-wall.')
  slotM!: number

  @Nested(() => TeethDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('Its teeth; null but for a comb.')
  teeth!: TeethDocument | null

  @Within(LIMITS.bore, 'Bore of the pipe through it, m.')
  pipeBoreM!: number

  @Within(LIMITS.wallTop, 'Height of that pipe’s middle, m.')
  pipeHeightM!: number

  @IsBoolean(aSwitch)
  @Describes('Its height can be set when it stands.')
  adjustable!: boolean

  @IsBoolean(aSwitch)
  @Describes('It lets no light through.')
  opaque!: boolean
}

/** What makes up for evaporation. */
export class TopOffDocument implements TopOff {
  @Within(LIMITS.topOffFlow, 'What its pump or valve lets in, m³/s.')
  flowM3PerS!: number

  @WithinOrNull(
    LIMITS.can,
    'What a can beside the sump holds, m³; null: it draws on the reservoir.',
  )
  canM3!: number | null

  @WithinOrNull(LIMITS.runLimit, 'After so long its controller gives up, s; null: never.')
  runLimitS!: number | null
}

/** Where the water waits between the drains and the pump. */
export class SumpDocument implements Sump {
  @ListOf(1, COUNTS.chambers, 'Its chambers, left to right.')
  @Nested(() => ChamberDocument)
  @ValidateNested({ each: true })
  chambers!: ChamberDocument[]

  @Nested(() => SumpBoxDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('Its sizes; null: not set, and each chamber stands at its given level.')
  box!: SumpBoxDocument | null

  @ListOf(0, COUNTS.chambers - 1, 'One wall between each two chambers; none without sizes.')
  @Nested(() => SumpWallDocument)
  @ValidateNested({ each: true })
  walls!: SumpWallDocument[]

  @Within(LIMITS.margin, 'What must stay free below its rim after a power cut, m.')
  marginM!: number

  @Within(LIMITS.gap, 'Width left for silicone on either side of a wall, m.')
  gapM!: number

  @Within(LIMITS.evaporation, 'What open water loses to the air, mm a day.')
  evaporationMmPerDay!: number

  @Within(LIMITS.submerged, 'What hung equipment lets go when the pump stops, m³.')
  hungWaterM3!: number

  @Nested(() => TopOffDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('What makes up for evaporation; null: the keeper tops up by hand.')
  topOff!: TopOffDocument | null

  @ListOf(0, COUNTS.devices, 'What works on its water, in it and beside it.')
  @Nested(() => DeviceDocument)
  @ValidateNested({ each: true })
  devices!: DeviceDocument[]

  @Nested(() => CabinetDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('What it stands in; null: not set.')
  cabinet!: CabinetDocument | null
}
