import { IsObject, ValidateNested } from 'class-validator'
import { DesignDocument } from '../design/design-document.ts'
import { COUNTS, LIMITS } from '../design/limits.ts'
import {
  ListOf,
  OneOfOrLeftOut,
  Text,
  TextOrNull,
  Time,
  TimeOrNull,
  WithinOrNull,
} from '../design/rules.ts'
import type { ShoppingEntry } from './answers.ts'
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

/** What a keeper knows of one line of a list. */
export class ShoppingEntryDocument implements ShoppingEntry {
  @Text(COUNTS.shoppingKeyLength, 'The line.')
  key!: string

  @WithinOrNull(LIMITS.have, 'How much of it is had already.')
  have!: number | null

  @WithinOrNull(LIMITS.linePrice, 'Its price, apiece or a metre.')
  price!: number | null

  @TimeOrNull('When it was ticked; null: it is not.')
  tickedAt!: string | null

  @TextOrNull(COUNTS.tickedByLength, 'Who ticked it; null: no name was given.')
  tickedBy!: string | null

  @Time('When this was changed, by the keeper’s own clock.')
  changedAt!: string
}

/** Lines of a list that were changed; the later change of each counts. */
export class MergeShopping {
  @ListOf(1, COUNTS.shoppingLines, 'What was changed.')
  @Nested(() => ShoppingEntryDocument)
  @ValidateNested({ each: true })
  entries!: ShoppingEntryDocument[]
}
