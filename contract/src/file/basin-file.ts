import { IsBoolean, IsObject, ValidateNested } from 'class-validator'
import { DesignDocument } from '../design/design-document.ts'
import { COUNTS } from '../design/limits.ts'
import { ByRule, ListOf, OneOf, Describes, Text } from '../design/rules.ts'
import { FILE_FORMAT, FORMAT_VERSION } from '../versions/format.ts'
import { Nested } from '../check/nested.ts'

/** One design of the basin, with its name. */
export class FileDesign {
  @Text(COUNTS.nameLength, 'What the keeper calls this design.')
  name!: string

  @IsBoolean({ message: 'must be true or false' })
  @Describes('The one design that is in use.')
  current!: boolean

  @Nested(() => DesignDocument)
  @IsObject({ message: 'must be a design: an object' })
  @ValidateNested()
  design!: DesignDocument
}

/** A whole basin as one file. */
export class BasinFile {
  @OneOf([FILE_FORMAT], 'Always "yew-basin".')
  format!: string

  @ByRule('a known version', (version) =>
    version === FORMAT_VERSION ? null : `must be ${FORMAT_VERSION}`,
  )
  @Describes('Version of this format, a whole number; older ones are brought up when read.')
  formatVersion!: number

  @Text(COUNTS.nameLength, 'What the keeper calls the basin.')
  name!: string

  @Text(COUNTS.noteLength, 'A few words on it; may be empty.', 0)
  note!: string

  @ListOf(1, COUNTS.designs, 'Its designs; exactly one is current.')
  @Nested(() => FileDesign)
  @ValidateNested({ each: true })
  @ByRule('one current design', (designs) => {
    if (!Array.isArray(designs) || designs.length === 0) return null
    const current = designs.filter((design: FileDesign | null) => design?.current === true).length
    return current === 1 ? null : `must have exactly one current design; it has ${current}`
  })
  designs!: FileDesign[]
}
