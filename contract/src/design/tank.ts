import type { Displacement, DisplayTank } from '@yew-basin/core'
import { LIMITS } from './limits.ts'
import { Within } from './rules.ts'

/** The display tank, by its inside sizes. */
export class TankDocument implements DisplayTank {
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

  @Within(LIMITS.waterLevel, 'Running water level over the inside floor, m.')
  waterLevelM!: number

  @Within(LIMITS.floorHeight, 'Height of the tank’s inside floor over the room’s floor, m.')
  floorHeightM!: number
}

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
