import { IsBoolean, IsObject, ValidateNested } from 'class-validator'
import type { Drain, DrainRole, InletForm, Landing } from '@yew-basin/core'
import { COUNTS, LIMITS } from './limits.ts'
import { PointDocument } from './point.ts'
import { Describes, Id, OneOf, Text, Within } from './rules.ts'
import { RunDocument } from './run.ts'
import { DRAIN_ROLES, INLET_FORMS, LANDINGS } from './way-words.ts'
import { Nested } from '../check/nested.ts'

/** Where the water goes into a drain. */
export class DrainInletDocument {
  @OneOf(INLET_FORMS, 'Its form.')
  form!: InletForm

  @Nested(() => PointDocument)
  @IsObject({ message: 'must be a place: an object with xM, yM and zM' })
  @ValidateNested()
  place!: PointDocument

  @Within(LIMITS.openAreaRatio, 'Open area of its strainer over the pipe’s.')
  openAreaRatio!: number
}

/** Where a drain ends. */
export class DrainEndDocument {
  @OneOf(['chamber', 'tee'], 'A chamber of the sump, or a tee of another drain.')
  at!: 'chamber' | 'tee'

  @Id('The chamber, or the tee’s piece.')
  id!: string

  @OneOf(LANDINGS, 'What its water lands in.')
  landing!: Landing
}

/** One drain pipe. */
export class DrainDocument implements Drain {
  @Id('Names the drain in this design.')
  id!: string

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @Id('The tank it drains.')
  tankId!: string

  @OneOf(DRAIN_ROLES, 'What it is for.')
  role!: DrainRole

  @Nested(() => DrainInletDocument)
  @IsObject({ message: 'must be an inlet: an object with form, place and openAreaRatio' })
  @ValidateNested()
  inlet!: DrainInletDocument

  @Nested(() => RunDocument)
  @IsObject({ message: 'must be a run: an object with size, pieces, roughnessM and ribbedFactor' })
  @ValidateNested()
  run!: RunDocument

  @Nested(() => DrainEndDocument)
  @IsObject({ message: 'must be an end: an object with at, id and landing' })
  @ValidateNested()
  end!: DrainEndDocument

  @IsBoolean({ message: 'must be true or false' })
  @Describes('Its valve follows the flow that comes; false: it stays as it is set.')
  keepsMatch!: boolean
}
