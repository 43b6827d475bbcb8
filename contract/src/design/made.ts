import { IsBoolean, IsObject, ValidateNested } from 'class-validator'
import type { building } from '@yew-basin/core'
import { Nested } from '../check/nested.ts'
import { PipeSizeDocument } from './pipe-size.ts'
import { Describes, IdOrNull, LeftOutOrNull, OneOf, OrNull } from './rules.ts'

const aSwitch = { message: 'must be true or false' }

const END_KINDS = [
  'glued',
  'threaded',
  'union',
  'barb',
  'push-fit',
  'gasket',
  'spigot',
] as const satisfies readonly building.EndKind[]

/** How one end is joined, or nothing said. */
export function JointOrLeftOut(description: string): PropertyDecorator {
  return (target, key) => {
    OneOf(END_KINDS, description)(target, key)
    LeftOutOrNull(description)(target, key)
  }
}

/** A piece as it is bought and joined. */
export class PieceMadeDocument implements building.PieceMade {
  @IdOrNull('The part, of the library or the keeper’s own, that it was taken from; null: none.')
  partId!: string | null

  @JointOrLeftOut('How the end is joined that the water comes in by.')
  before!: building.EndKind | null

  @JointOrLeftOut('How the end is joined that the water leaves by.')
  after!: building.EndKind | null

  @IsBoolean(aSwitch)
  @Describes('A valve with a union on both sides.')
  isTrueUnion!: boolean

  @Nested(() => PipeSizeDocument)
  @IsObject({ message: 'must be a pipe size: an object with series, size and boreM' })
  @ValidateNested()
  @OrNull('Size of a tee’s third leg; null: as its run.')
  branch!: PipeSizeDocument | null

  @IsBoolean(aSwitch)
  @Describes('Held to the stand or the wall.')
  isClipped!: boolean
}
