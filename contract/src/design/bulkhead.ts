import { IsBoolean } from 'class-validator'
import type { Bulkhead } from '@yew-basin/core'
import { COUNTS, LIMITS } from './limits.ts'
import { Id, LeftOutOrNull, Text, Within } from './rules.ts'

/** What is known of a bulkhead wherever it is kept. */
export class BulkheadSpec {
  @Within(LIMITS.bore, 'Its bore, m.')
  boreM!: number

  @Within(LIMITS.drilledHole, 'The hole it wants, m across.')
  holeM!: number

  @Within(LIMITS.drilledHole, 'Across its flange and nut: what must lie flat on the glass, m.')
  flangeM!: number
}

/** A bulkhead as it was when a design chose it. */
export class BulkheadDocument extends BulkheadSpec implements Bulkhead {
  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  size!: string

  @LeftOutOrNull('The part it was taken from.')
  @Id('The part it was taken from.')
  partId?: string | null

  @IsBoolean({ message: 'must be true or false' })
  @LeftOutOrNull('Its pipe is screwed in; else glued.')
  isThreaded?: boolean
}
