import { IsBoolean, IsObject, ValidateNested } from 'class-validator'
import type {
  DrilledPanel,
  Guard,
  Hole,
  Overflow,
  OverflowBox,
  OverflowForm,
  OverflowPlace,
  PanelGlass,
  Teeth,
} from '@yew-basin/core'
import { BulkheadDocument } from './bulkhead.ts'
import { COUNTS, LIMITS } from './limits.ts'
import { Id, IdOrNull, ListOf, OneOf, OrNull, Describes, Within, WithinOrNull } from './rules.ts'
import { OVERFLOW_FORMS, OVERFLOW_PLACES } from './way-words.ts'
import { Nested } from '../check/nested.ts'

const anObject = { message: 'must be an object' }

/** The teeth of a rim or of a comb. */
export class TeethDocument implements Teeth {
  @Within(LIMITS.slotWidth, 'Width of a slot, m.')
  slotWidthM!: number

  @Within(LIMITS.pitch, 'From one slot to the next, m; more than a slot’s width.')
  pitchM!: number

  @Within(LIMITS.toothHeight, 'Height of the teeth, m.')
  heightM!: number

  @Within(LIMITS.blockedShare, 'Share of the slots that weed or a snail has shut.')
  blockedShare!: number
}

/** A mesh that keeps animals out of an overflow. */
export class GuardDocument implements Guard {
  @Within(LIMITS.openShare, 'Share of the width that is open.')
  openShare!: number

  @Within(LIMITS.slotWidth, 'Its smallest opening, m.')
  leastOpeningM!: number
}

/** The box the drains stand in. */
export class OverflowBoxDocument implements OverflowBox {
  @Within(LIMITS.place, 'Its left inside face, to the right of the room’s zero, m.')
  xM!: number

  @Within(LIMITS.place, 'Its front inside face, behind the room’s zero, m.')
  yM!: number

  @Within(LIMITS.boxSize, 'Inside length, left to right, m.')
  lengthM!: number

  @Within(LIMITS.boxSize, 'Inside width, front to back, m.')
  widthM!: number

  @Within(LIMITS.boxHeight, 'Its inside floor over the tank’s inside floor, m.')
  floorM!: number

  @Within(LIMITS.boxHeight, 'Height at which it spills, over the tank’s inside floor, m.')
  rimM!: number
}

/** What joins the skimming side to the box. */
export class PassageDocument {
  @OneOf(['holes', 'siphon'], 'Holes through the glass, or siphon tubes over the rim.')
  kind!: 'holes' | 'siphon'

  @Within(LIMITS.count, 'How many.')
  count!: number

  @Within(LIMITS.bore, 'Bore of each, m.')
  boreM!: number

  @Within(LIMITS.tubeLength, 'Length of one tube, m; 0 for holes.')
  lengthM!: number
}

/** A hole in the tank for a bulkhead. */
export class HoleDocument implements Hole {
  @Id('Names the hole in this design.')
  id!: string

  @OneOf(['floor', 'back', 'left', 'right'], 'The panel it is drilled in.')
  panel!: DrilledPanel

  @OneOf(['plain', 'tempered', 'acrylic'], 'What the panel is made of; tempered glass shatters.')
  glass!: PanelGlass

  @Within(LIMITS.holePlace, 'Its middle from the panel’s left or front edge, m.')
  alongM!: number

  @Within(LIMITS.holePlace, 'Its middle up the panel, or back from the front of the floor, m.')
  upM!: number

  @Nested(() => BulkheadDocument)
  @IsObject(anObject)
  @ValidateNested()
  @Describes('The bulkhead that goes in it, as it was when chosen from the parts.')
  bulkhead!: BulkheadDocument
}

/** How water leaves a tank. */
export class OverflowDocument implements Overflow {
  @OneOf(OVERFLOW_FORMS, 'What catches the water.')
  form!: OverflowForm

  @OneOf(OVERFLOW_PLACES, 'Where it stands, as you stand in front of the tank.')
  place!: OverflowPlace

  @Within(LIMITS.waterLevel, 'Where water begins to pass, over the tank’s inside floor, m.')
  crestM!: number

  @Within(LIMITS.rimLength, 'Length of its rim, m.')
  rimLengthM!: number

  @Nested(() => TeethDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('Its teeth; null: smooth.')
  teeth!: TeethDocument | null

  @IsBoolean({ message: 'must be true or false' })
  @Describes('The tops of the teeth are open above.')
  openAbove!: boolean

  @Nested(() => GuardDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('A mesh over its openings; null: none.')
  guard!: GuardDocument | null

  @WithinOrNull(LIMITS.slotWidth, 'The smallest animal that must stay in the tank, m across.')
  keepsInM!: number | null

  @Nested(() => OverflowBoxDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('The box the drains stand in; null for rear chambers.')
  box!: OverflowBoxDocument | null

  @Nested(() => PassageDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('Holes or tubes on the way to the box; null: the rim lets straight into it.')
  passage!: PassageDocument | null

  @IdOrNull('The chamber behind the wall; null but for rear chambers.')
  chamberId!: string | null

  @ListOf(0, COUNTS.holes, 'Holes in the tank.')
  @Nested(() => HoleDocument)
  @ValidateNested({ each: true })
  holes!: HoleDocument[]

  @WithinOrNull(
    LIMITS.boxHeight,
    'Height of a sensor that stops the pump, over the tank’s floor, m.',
  )
  sensorM!: number | null
}
