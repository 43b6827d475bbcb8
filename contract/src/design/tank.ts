import { IsObject, ValidateNested } from 'class-validator'
import type { Displacement, DisplayTank } from '@yew-basin/core'
import { COUNTS, LIMITS } from './limits.ts'
import { OverflowDocument } from './overflow.ts'
import { Id, OrNull, Describes, Text, Within } from './rules.ts'
import { SceneDocument } from './scene.ts'
import { Nested } from '../check/nested.ts'

/** What stands in the display and takes the water’s place. */
export class DisplacementDocument implements Displacement {
  @Within(LIMITS.rockMass, 'Mass of the rock, kg.')
  rockMassKg!: number

  @Within(LIMITS.rockDensity, 'Mass of rock over the water it pushes aside, kg/m³.')
  rockDensityKgPerM3!: number

  @Within(LIMITS.sandMass, 'Dry mass of the sand, kg.')
  sandMassKg!: number

  @Within(LIMITS.sandDensity, 'Density of the sand’s grains, kg/m³.')
  sandGrainDensityKgPerM3!: number
}

/** A display tank, by its inside sizes and its place in the room. */
export class TankDocument implements DisplayTank {
  @Id('Names the tank in this design.')
  id!: string

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @Within(
    LIMITS.place,
    'Its left inside face, to the right of the room’s zero, m; 0 for the first.',
  )
  xM!: number

  @Within(LIMITS.place, 'Its front inside face, behind the room’s zero, m; 0 for the first.')
  yM!: number

  @Within(LIMITS.tankLength, 'Inside length, left to right, m.')
  lengthM!: number

  @Within(LIMITS.tankWidth, 'Inside width, front to back, m.')
  widthM!: number

  @Within(LIMITS.tankHeight, 'Inside height of the panels over the inside floor, m.')
  heightM!: number

  @Within(
    LIMITS.waterLevel,
    'Height at which it spills over the inside floor, m: the top of its panels, or a brace’s or notch’s lower edge.',
  )
  rimM!: number

  @Within(
    LIMITS.waterLevel,
    'Running water level over the inside floor, m; an overflow’s rim and flow set it instead.',
  )
  waterLevelM!: number

  @Within(LIMITS.floorHeight, 'Height of the tank’s inside floor over the room’s floor, m.')
  floorHeightM!: number

  @Nested(() => DisplacementDocument)
  @IsObject({ message: 'must be an object' })
  @ValidateNested()
  displacement!: DisplacementDocument

  @Within(LIMITS.turnover, 'Wanted net volumes of this tank through the sump, per hour.')
  turnoverPerH!: number

  @Nested(() => OverflowDocument)
  @IsObject({ message: 'must be an object' })
  @ValidateNested()
  @OrNull('How its water leaves; null: not set, and it stands at the given level.')
  overflow!: OverflowDocument | null

  @Nested(() => SceneDocument)
  @IsObject({ message: 'must be an object' })
  @ValidateNested()
  @Describes('What stands in its water and what moves it.')
  scene!: SceneDocument
}
