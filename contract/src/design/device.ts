import { IsBoolean, IsObject, ValidateNested } from 'class-validator'
import type {
  building,
  Cabinet,
  CabinetDoor,
  Device,
  DeviceKind,
  DevicePart,
  Lamp,
  LoadClass,
  NoiseClass,
  SkimmerForm,
  SkimmerSpec,
  SterilizerSpec,
} from '@yew-basin/core'
import { COUNTS, LIMITS } from './limits.ts'
import {
  Id,
  IdOrNull,
  ByRule,
  DayOrNull,
  LeftOutOrNull,
  ListOf,
  OneOf,
  OrNull,
  Describes,
  Text,
  Within,
} from './rules.ts'
import { DEVICE_KINDS, NOISE_CLASSES, SKIMMER_FORMS } from './way-words.ts'
import { Nested } from '../check/nested.ts'
import { JointOrLeftOut } from './made.ts'

const anObject = { message: 'must be an object' }
const aSwitch = { message: 'must be true or false' }

/** Flows that a device works at. */
export class FlowWindowDocument {
  @Within(LIMITS.deviceFlow, 'Least flow, m³/s.')
  leastM3PerS!: number

  @Within(LIMITS.deviceFlow, 'Most flow, m³/s.')
  @ByRule('a window that opens', (most, owner) =>
    (most as number) >= (owner as FlowWindowDocument).leastM3PerS
      ? null
      : 'must be no less than the least flow',
  )
  mostM3PerS!: number
}

/** Depths of water that a skimmer works in. */
export class WorkingDepthDocument {
  @Within(LIMITS.sumpHeight, 'Least depth over its foot, m.')
  leastM!: number

  @Within(LIMITS.sumpHeight, 'Most depth over its foot, m.')
  @ByRule('a range', (most, owner) =>
    (most as number) >= (owner as WorkingDepthDocument).leastM
      ? null
      : 'must be no less than the least depth',
  )
  mostM!: number
}

/** System volumes that a skimmer is printed for. */
export class RatedVolumesDocument implements Record<LoadClass, number> {
  @Within(LIMITS.ratedVolume, 'At a light load, m³.')
  light!: number

  @Within(LIMITS.ratedVolume, 'At a medium load, m³.')
  medium!: number

  @Within(LIMITS.ratedVolume, 'At a heavy load, m³.')
  heavy!: number
}

/** What its maker says of a skimmer, at full speed. */
export class SkimmerSpecDocument implements SkimmerSpec {
  @OneOf(SKIMMER_FORMS, 'Stands in the water, beside the sump, or hangs on its rim.')
  form!: SkimmerForm

  @Nested(() => RatedVolumesDocument)
  @IsObject(anObject)
  @ValidateNested()
  @Describes('System volume it is printed for, by load.')
  ratedM3!: RatedVolumesDocument

  @Within(LIMITS.deviceFlow, 'Water through its body, m³/s.')
  flowM3PerS!: number

  @Within(LIMITS.deviceFlow, 'Air it draws, m³/s.')
  airM3PerS!: number

  @Within(LIMITS.body, 'Water in its body as it runs, m³.')
  bodyM3!: number

  @Within(LIMITS.neck, 'Bore of its neck, m.')
  neckBoreM!: number

  @Nested(() => WorkingDepthDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('Depths of water it works in; null: it stands dry.')
  wantsDepth!: WorkingDepthDocument | null

  @Within(LIMITS.submerged, 'What falls back out of it when it stops, m³.')
  givesBackM3!: number

  @Within(LIMITS.reach, 'How far its cup must rise to come off, m.')
  cupLiftM!: number
}

/** What its maker says of a sterilizer. */
export class SterilizerSpecDocument implements SterilizerSpec {
  @OneOf(['maker', 'lamp'], 'From a printed dose at a flow, or from lamp and chamber.')
  by!: 'maker' | 'lamp'

  @Within(LIMITS.dose, 'Printed dose, J/m² (1 mJ/cm² is 10); used by maker.')
  ratedDoseJPerM2!: number

  @Within(LIMITS.ratedFlow, 'Flow it is printed at, m³/s; used by maker.')
  ratedFlowM3PerS!: number

  @Within(LIMITS.pumpPower, 'Ultraviolet C of the new lamp, W; used by lamp.')
  uvcPowerW!: number

  @Within(LIMITS.arc, 'Lit length of the lamp, m; used by lamp.')
  arcLengthM!: number

  @Within(LIMITS.bore, 'Outside diameter of the sleeve, m; used by lamp.')
  sleeveDiameterM!: number

  @Within(LIMITS.chamberBore, 'Inside diameter of the chamber, m; used by lamp.')
  @ByRule('water round the sleeve', (bore, owner) =>
    (bore as number) > (owner as SterilizerSpecDocument).sleeveDiameterM
      ? null
      : 'must be wider than the sleeve',
  )
  chamberBoreM!: number

  @Within(LIMITS.factor, 'What 1 cm of water lets through; used by lamp.')
  transmittancePerCm!: number

  @Within(LIMITS.factor, 'Share of the mean dose that the least lucky water gets; used by lamp.')
  mixingFactor!: number

  @Within(LIMITS.lampHours, 'Time after which the lamp has 80 % left, s.')
  ratedHoursS!: number

  @Within(LIMITS.reach, 'Free length beyond its end to draw the lamp, m.')
  pullOutM!: number

  @Within(LIMITS.bore, 'Bore of its ports, m.')
  portBoreM!: number

  @IsBoolean(aSwitch)
  @LeftOutOrNull('A rod through its lid wipes the sleeve.')
  hasWiper?: boolean
}

/** A device as its maker describes it. */
export class DevicePartDocument implements DevicePart {
  @Id('Names the part.')
  id!: string

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @OneOf(DEVICE_KINDS, 'What it is for.')
  @ByRule('what its kind needs', (_, owner) => kindFault(owner as DevicePartDocument))
  kind!: DeviceKind

  @Within(LIMITS.deviceSize, 'Length of the box around it, m.')
  lengthM!: number

  @Within(LIMITS.deviceSize, 'Width of the box around it, m.')
  widthM!: number

  @Within(LIMITS.deviceSize, 'Height from foot to top, m.')
  heightM!: number

  @Within(LIMITS.footprint, 'What it takes of the water’s surface where it stands in water, m².')
  sectionM2!: number

  @Within(LIMITS.reach, 'Room a hand wants beside it, m.')
  handM!: number

  @OneOf(['fixed-speed', 'controllable'], 'One speed, or one its controller sets.')
  control!: 'fixed-speed' | 'controllable'

  @Within(LIMITS.devicePower, 'Power from the wall at full speed, W.')
  powerW!: number

  @OneOf(NOISE_CLASSES, 'How loud it is beside the tank.')
  noise!: NoiseClass

  @Within(LIMITS.priceClass, 'From 1, cheap, to 5, dear.')
  priceClass!: number

  @Nested(() => FlowWindowDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('Flows through it that it works at; null: none is given.')
  window!: FlowWindowDocument | null

  @Nested(() => SkimmerSpecDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('Of a skimmer; null: it is none.')
  skimmer!: SkimmerSpecDocument | null

  @Nested(() => SterilizerSpecDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('Of a sterilizer; null: it is none.')
  sterilizer!: SterilizerSpecDocument | null
}

function kindFault({ kind, skimmer, sterilizer }: DevicePartDocument): string | null {
  for (const [own, spec] of [
    ['skimmer', skimmer],
    ['sterilizer', sterilizer],
  ] as const) {
    if ((kind === own) !== (typeof spec === 'object' && spec !== null)) {
      return kind === own ? `must say what its ${own} does` : `must have no ${own}: it is a ${kind}`
    }
  }
  return null
}

/** The state of a sterilizer’s lamp, its sleeve and the water. */
export class LampDocument implements Lamp {
  @Within(LIMITS.lampTime, 'Time the lamp had burned, on the day of `burnedOn`, s.')
  burnedS!: number

  @Within(LIMITS.factor, 'Transmittance of this water over the rating’s.')
  waterFactor!: number

  @Within(LIMITS.factor, 'What the sleeve’s film lets through.')
  sleeveFactor!: number

  @Within(LIMITS.hoursPerDay, 'Hours a day it is lit.')
  hoursPerDay!: number

  @DayOrNull(
    'Day on which it had burned so long; null: not set, and it has burned since it was put in.',
  )
  burnedOn!: string | null

  @DayOrNull('Day the lamp was put in; null: not set.')
  lampSince!: string | null

  @DayOrNull('Day the sleeve was put in; null: not set.')
  sleeveSince!: string | null
}

/** A device where it stands. */
export class DeviceDocument implements Device {
  @Id('Names the device in this design.')
  id!: string

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @Nested(() => DevicePartDocument)
  @IsObject(anObject)
  @ValidateNested()
  @Describes('What it is, as it was when chosen.')
  part!: DevicePartDocument

  @IdOrNull('The chamber whose water it works on.')
  chamberId!: string | null

  @Within(LIMITS.place, 'Left of its box, from the sump’s left front inside corner, m.')
  xM!: number

  @Within(LIMITS.place, 'Front of its box, from the sump’s left front inside corner, m.')
  yM!: number

  @IsBoolean(aSwitch)
  @Describes('Turned by a quarter.')
  turned!: boolean

  @Within(LIMITS.stand, 'Height of the stand under it, m.')
  standM!: number

  @Within(LIMITS.speed, 'Share of full speed; 1 for one of one speed.')
  speed!: number

  @IdOrNull('The line whose water passes it.')
  lineId!: string | null

  @IdOrNull(
    'The piece it is in that line, of a flow meter the pipe it stands in; null: not set, or no line.',
  )
  pieceId!: string | null

  @JointOrLeftOut('How its ports are joined.')
  joint?: building.EndKind | null

  @Nested(() => LampDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('Of a sterilizer; null: another kind.')
  lamp!: LampDocument | null
}

/** An opening in the cabinet. */
export class CabinetDoorDocument implements CabinetDoor {
  @Id('Names the door in this design.')
  id!: string

  @OneOf(['front', 'left', 'right'], 'The side it is in.')
  face!: 'front' | 'left' | 'right'

  @Within(LIMITS.doorPlace, 'Where it begins, from the left or the front, m.')
  fromM!: number

  @Within(LIMITS.doorPlace, 'Where it ends, m.')
  @ByRule('a door that opens', (to, owner) =>
    (to as number) > (owner as CabinetDoorDocument).fromM
      ? null
      : 'must lie beyond where the door begins',
  )
  toM!: number

  @Within(LIMITS.doorPlace, 'Its lower edge over the room’s floor, m.')
  bottomM!: number

  @Within(LIMITS.doorPlace, 'Its upper edge over the room’s floor, m.')
  @ByRule('a door that opens', (top, owner) =>
    (top as number) > (owner as CabinetDoorDocument).bottomM
      ? null
      : 'must lie over the door’s lower edge',
  )
  topM!: number
}

/** The inside of what the sump stands in. */
export class CabinetDocument implements Cabinet {
  @Within(LIMITS.place, 'Its left inside face in the room, m.')
  xM!: number

  @Within(LIMITS.place, 'Its front inside face in the room, m.')
  yM!: number

  @Within(LIMITS.cabinetSize, 'Inside length, m.')
  lengthM!: number

  @Within(LIMITS.cabinetSize, 'Inside width, m.')
  widthM!: number

  @Within(LIMITS.doorPlace, 'Underside of its top over the room’s floor, m.')
  topM!: number

  @ListOf(0, COUNTS.doors, 'Its openings.')
  @Nested(() => CabinetDoorDocument)
  @ValidateNested({ each: true })
  doors!: CabinetDoorDocument[]
}
