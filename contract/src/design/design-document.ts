import { IsObject, ValidateNested } from 'class-validator'
import type { BasinDesign } from '@yew-basin/core'
import { AllowancesDocument } from './allowances.ts'
import { BuildPlanDocument } from './build-plan.ts'
import { DrainDocument } from './drain.ts'
import { OwnDrillDocument } from './drill.ts'
import { equipmentFault } from './equipment.ts'
import { gravityFault } from './gravity.ts'
import { HeatDocument } from './heat.ts'
import { COUNTS, LIMITS } from './limits.ts'
import { PumpPartDocument } from './pump-part.ts'
import { ReturnSideDocument } from './return-side.ts'
import { ByRule, ListOf, OrNull, Describes, Text, TextsOf, Within } from './rules.ts'
import { SumpDocument } from './sump.ts'
import { TankDocument } from './tank.ts'
import { TreatmentDocument } from './treatment.ts'
import { WaterDocument } from './water.ts'
import { plumbingFault } from './plumbing.ts'
import { Nested } from '../check/nested.ts'

const anObject = { message: 'must be an object' }

/** What the keeper pays for electricity. */
export class TariffDocument {
  @Within(LIMITS.price, 'Price of one kWh.')
  pricePerKWh!: number

  @Text(COUNTS.currencyLength, 'As the keeper writes it.')
  currency!: string
}

/** One design of a basin: all the core needs to solve it. */
export class DesignDocument implements BasinDesign {
  @ListOf(1, COUNTS.tanks, 'Display tanks on this sump; a design is known by the first.')
  @Nested(() => TankDocument)
  @ValidateNested({ each: true })
  tanks!: TankDocument[]

  @Nested(() => WaterDocument)
  @IsObject(anObject)
  @ValidateNested()
  water!: WaterDocument

  @ListOf(0, COUNTS.drains, 'Drain pipes of all tanks.')
  @Nested(() => DrainDocument)
  @ValidateNested({ each: true })
  drains!: DrainDocument[]

  @Nested(() => SumpDocument)
  @IsObject(anObject)
  @ValidateNested()
  @ByRule('a way down that holds together', (_, owner) => gravityFault(owner as DesignDocument))
  @ByRule('equipment that has its place', (_, owner) => equipmentFault(owner as DesignDocument))
  sump!: SumpDocument

  @Nested(() => ReturnSideDocument)
  @IsObject(anObject)
  @ValidateNested()
  @ByRule('plumbing that holds together', (_, owner) => plumbingFault(owner as DesignDocument))
  returnSide!: ReturnSideDocument

  @ListOf(1, COUNTS.pumps, 'The pumps this design uses, as they were when chosen.')
  @Nested(() => PumpPartDocument)
  @ValidateNested({ each: true })
  pumps!: PumpPartDocument[]

  @Nested(() => TariffDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('What the keeper pays for electricity; null: not set.')
  tariff!: TariffDocument | null

  @ListOf(0, COUNTS.ownDrills, 'Bad days of the keeper’s own making.')
  @Nested(() => OwnDrillDocument)
  @ValidateNested({ each: true })
  @ByRule('drills with ids of their own', (_, owner) => ownDrillFault(owner as DesignDocument))
  drills!: OwnDrillDocument[]

  @Nested(() => TreatmentDocument)
  @IsObject(anObject)
  @ValidateNested()
  @Describes('What the water has to be cleaned of, and by what it is judged.')
  treatment!: TreatmentDocument

  @Nested(() => HeatDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('Room, lights and chiller; null: not set.')
  heat!: HeatDocument | null

  @Nested(() => AllowancesDocument)
  @IsObject(anObject)
  @ValidateNested()
  @Describes('What the drills allow for.')
  allowances!: AllowancesDocument

  @TextsOf(
    { most: COUNTS.assumed, length: COUNTS.assumedLength },
    'What the keeper has not said, by its place with ids for the places in lists: "tanks[tank].lengthM". All else is given; what names nothing is dropped with the next change.',
  )
  assumed!: string[]

  @Nested(() => BuildPlanDocument)
  @IsObject(anObject)
  @ValidateNested()
  @OrNull('What was said of building; null: nothing, and all is as usual.')
  build!: BuildPlanDocument | null
}

function ownDrillFault({ drills }: DesignDocument): string | null {
  const ids = drills.map(({ id }) => id)
  const twice = ids.find((id, i) => ids.indexOf(id) !== i)
  return twice === undefined ? null : `the drill id "${twice}" stands twice`
}
