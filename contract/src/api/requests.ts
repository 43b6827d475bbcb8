import { IsObject, ValidateNested } from 'class-validator'
import { DesignDocument } from '../design/design-document.ts'
import { COUNTS } from '../design/limits.ts'
import { OneOfOrLeftOut, Text } from '../design/rules.ts'
import { Nested } from '../check/nested.ts'

/** A new basin. */
export class CreateBasin {
  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string

  /** Left out: metric. */
  @OneOfOrLeftOut(['metric', 'us'], 'The family of units its tank and pipe begin in.')
  units?: 'metric' | 'us'
}

/** Another name or note for a basin. */
export class RenameBasin {
  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string
}

/** A recovery key as somebody typed or scanned it. */
export class RecoverWorkspace {
  @Text(100, 'The key, with or without its dashes.')
  key!: string
}

/** The whole design as it is to be; the revision it changes goes in If-Match. */
export class SaveDesign {
  @Nested(() => DesignDocument)
  @IsObject({ message: 'must be a design: an object' })
  @ValidateNested()
  design!: DesignDocument
}
