import { ValidateNested } from 'class-validator'
import type { OwnDrill } from '@yew-basin/core'
import { COUNTS, LIMITS } from './limits.ts'
import { Id, ListOf, Text, Within } from './rules.ts'
import { Nested } from '../check/nested.ts'

/** One drill in a chain of the keeper’s own. */
export class OwnDrillStepDocument {
  @Text(3 * COUNTS.idLength, 'The drill, by its id in the list of drills.')
  drillId!: string

  @Within(LIMITS.drillStart, 'When it begins, s after the first.')
  atS!: number
}

/** A bad day of the keeper’s own making. */
export class OwnDrillDocument implements OwnDrill {
  @Id('Names the drill in this design.')
  id!: string

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  @ListOf(1, COUNTS.drillSteps, 'What happens when.')
  @Nested(() => OwnDrillStepDocument)
  @ValidateNested({ each: true })
  steps!: OwnDrillStepDocument[]
}
