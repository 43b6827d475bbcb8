import { IsBoolean, IsObject, ValidateNested } from 'class-validator'
import type {
  CirculationPart,
  CirculationPump,
  NozzleAim,
  Pattern,
  PatternKind,
  RockSolid,
  ScenePanel,
  TankScene,
  WantedRange,
  ZoneKind,
} from '@yew-basin/core'
import { COUNTS, LIMITS } from './limits.ts'
import { Id, ByRule, ListOf, OneOf, Describes, Text, Within, WithinOrNull } from './rules.ts'
import { PATTERN_KINDS, SCENE_PANELS, ZONE_KINDS } from './way-words.ts'
import { Nested } from '../check/nested.ts'

const anObject = { message: 'must be an object' }

/** A circulation pump as its maker prints it. */
export class CirculationPartDocument implements CirculationPart {
  @Id('Names the part.')
  id!: string

  @Text(COUNTS.nameLength, 'What it is called.')
  name!: string

  @OneOf(['jet', 'cross-flow'], 'Out of a round opening, or out of a long slot.')
  @ByRule('an opening of its form', (_, owner) => openingFault(owner as CirculationPartDocument))
  form!: CirculationPart['form']

  @OneOf(['fixed-speed', 'controllable'], 'Whether its speed can be set.')
  control!: 'fixed-speed' | 'controllable'

  @Within(LIMITS.circulationFlow, 'At full speed with nothing on it, m³/s.')
  flowM3PerS!: number

  @WithinOrNull(LIMITS.circulationBore, 'Of a jet pump’s round opening, m.')
  boreM!: number | null

  @WithinOrNull(LIMITS.slotLength, 'Long side of a cross-flow pump’s slot, m.')
  slotLengthM!: number | null

  @WithinOrNull(LIMITS.slotShort, 'Short side of a cross-flow pump’s slot, m.')
  slotWidthM!: number | null

  @Within(LIMITS.speed, 'Least share of full speed it runs at.')
  leastSpeed!: number

  @Within(LIMITS.pumpPower, 'From the wall at full speed, W.')
  powerW!: number

  @Within(LIMITS.panelDepth, 'From the panel to its opening, m.')
  depthM!: number

  @Within(LIMITS.panelBody, 'Across the panel, m.')
  bodyM!: number
}

function openingFault(part: CirculationPartDocument): string | null {
  const round = part.boreM !== null
  const slot = part.slotLengthM !== null && part.slotWidthM !== null
  if (part.form === 'jet') return round ? null : 'a jet pump must have a boreM'
  return slot ? null : 'a cross-flow pump must have a slotLengthM and a slotWidthM'
}

/** How a pump’s speed goes in time. */
export class PatternDocument implements Pattern {
  @OneOf(PATTERN_KINDS, 'Steady, on and off, in turns, slowly from side to side, or by chance.')
  kind!: PatternKind

  @Within(LIMITS.period, 'Of one whole turn, or of one hold by chance, s.')
  periodS!: number

  @Within(LIMITS.low, 'Share of its set speed it falls to.')
  low!: number

  @OneOf(['first', 'second'], 'Which of the two that take turns.')
  group!: 'first' | 'second'
}

/** A circulation pump on a panel. */
export class CirculationPumpDocument implements CirculationPump {
  @Id('Names the pump in this tank.')
  id!: string

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @Nested(() => CirculationPartDocument)
  @IsObject(anObject)
  @ValidateNested()
  @Describes('As it was when chosen.')
  part!: CirculationPartDocument

  @OneOf(SCENE_PANELS, 'The panel it sits on.')
  panel!: ScenePanel

  @Within(LIMITS.scenePlace, 'From the panel’s left or front edge, m.')
  alongM!: number

  @Within(LIMITS.sceneHeight, 'Over the tank’s inside floor, m.')
  upM!: number

  @Within(LIMITS.turn, 'Against straight off its panel, to its left positive, degrees.')
  turnDeg!: number

  @Within(LIMITS.tilt, 'Upwards, degrees.')
  tiltDeg!: number

  @IsBoolean({ message: 'must be true or false' })
  @Describes('A cross-flow pump’s slot stands upright.')
  upright!: boolean

  @Within(LIMITS.speed, 'Share of full speed; 1 for a pump of one speed.')
  @ByRule('a speed it has', (speed, owner) => speedFault(speed, owner as CirculationPumpDocument))
  speed!: number

  @Nested(() => PatternDocument)
  @IsObject(anObject)
  @ValidateNested()
  pattern!: PatternDocument
}

function speedFault(speed: unknown, { part }: CirculationPumpDocument): string | null {
  if (typeof speed !== 'number' || !part) return null
  if (part.control === 'fixed-speed')
    return speed === 1 ? null : 'must be 1: this pump has one speed'
  return speed >= part.leastSpeed ? null : `must be no less than its leastSpeed ${part.leastSpeed}`
}

/** A rock as a simple solid. */
export class RockDocument implements RockSolid {
  @Id('Names the rock in this tank.')
  id!: string

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @OneOf(['box', 'boulder'], 'A box, or the ellipsoid that fits in it.')
  form!: 'box' | 'boulder'

  @Within(LIMITS.scenePlace, 'Its left end, from the tank’s left, m.')
  xM!: number

  @Within(LIMITS.scenePlace, 'Its front, from the tank’s front, m.')
  yM!: number

  @Within(
    LIMITS.rockBase,
    'Its underside, over the tank’s inside floor, m; below zero: cut off by it.',
  )
  zM!: number

  @Within(LIMITS.rockSize, 'Left to right, m.')
  lengthM!: number

  @Within(LIMITS.rockSize, 'Front to back, m.')
  widthM!: number

  @Within(LIMITS.rockSize, 'Underside to top, m.')
  heightM!: number

  @OneOf(ZONE_KINDS, 'What lives on it.')
  zone!: ZoneKind
}

/** Whereto a line’s end points. */
export class NozzleAimDocument implements NozzleAim {
  @Id('The line.')
  lineId!: string

  @Within(LIMITS.turn, '0 to the right, 90 to the back, degrees.')
  turnDeg!: number

  @Within(LIMITS.tilt, 'Upwards, degrees.')
  tiltDeg!: number
}

/** The water’s speed that is wanted in a zone. */
export class WantedRangeDocument implements WantedRange {
  @OneOf(ZONE_KINDS, 'What lives there.')
  zone!: ZoneKind

  @Within(LIMITS.current, 'Least, m/s.')
  leastMPerS!: number

  @Within(LIMITS.current, 'Most, m/s.')
  @ByRule('a range', (most, owner) =>
    (most as number) >= (owner as WantedRangeDocument).leastMPerS
      ? null
      : 'must be no less than the least speed',
  )
  mostMPerS!: number

  @Text(COUNTS.noteLength, 'Why.', 0)
  reason!: string
}

/** What stands in a tank’s water and what moves it. */
export class SceneDocument implements TankScene {
  @ListOf(0, COUNTS.rocks, 'Rock as simple solids.')
  @Nested(() => RockDocument)
  @ValidateNested({ each: true })
  @ByRule('ids of their own', (list) => twiceFault(list, 'id'))
  rocks!: RockDocument[]

  @ListOf(0, COUNTS.circulationPumps, 'Circulation pumps.')
  @Nested(() => CirculationPumpDocument)
  @ValidateNested({ each: true })
  @ByRule('ids of their own', (list) => twiceFault(list, 'id'))
  pumps!: CirculationPumpDocument[]

  @ListOf(0, COUNTS.lines, 'Lines whose end is turned; the others point as they lead.')
  @Nested(() => NozzleAimDocument)
  @ValidateNested({ each: true })
  @ByRule('one for a line', (list) => twiceFault(list, 'lineId'))
  nozzles!: NozzleAimDocument[]

  @ListOf(ZONE_KINDS.length, ZONE_KINDS.length, 'The speeds wanted, one for each zone.')
  @Nested(() => WantedRangeDocument)
  @ValidateNested({ each: true })
  @ByRule('one for a zone', (list) => twiceFault(list, 'zone'))
  ranges!: WantedRangeDocument[]
}

function twiceFault(list: unknown, key: string): string | null {
  if (!Array.isArray(list)) return null
  const keys = list.map((entry: unknown) => (entry as Record<string, unknown> | null)?.[key])
  const names = keys.filter((known): known is string => typeof known === 'string')
  const twice = names.find((name, i) => names.indexOf(name) !== i)
  return twice === undefined ? null : `the ${key} "${twice}" stands twice`
}
