import { IsBoolean } from 'class-validator'
import type { allowing } from '@yew-basin/core'
import { LIMITS } from './limits.ts'
import { Describes, WithinOrNull } from './rules.ts'

/** What the drills allow for. */
export class AllowancesDocument implements allowing.Allowances {
  @WithinOrNull(LIMITS.outOfLevel, 'How far a tank is out of level over its length; else 3 mm.')
  outOfLevelM!: number | null

  @WithinOrNull(LIMITS.waves, 'How high waves run over the still level; else 10 mm.')
  wavesM!: number | null

  @WithinOrNull(LIMITS.leak, 'A slow leak; else 0.5 L/h.')
  leakM3PerS!: number | null

  @WithinOrNull(
    LIMITS.collector,
    'What a skimmer’s cup runs over into: zero the floor; else back into the sump.',
  )
  cupCollectorM3!: number | null

  @IsBoolean({ message: 'must be true or false' })
  @Describes('The top-off’s reservoir stands over its tube’s end, and that is under water.')
  topOffTubeSiphons!: boolean
}
