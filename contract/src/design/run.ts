import { IsObject, ValidateNested } from 'class-validator'
import type { Piece, Run } from '@yew-basin/core'
import { COUNTS, LIMITS } from './limits.ts'
import { PIECE_CLASSES, PieceDocument } from './piece.ts'
import { PipeSizeDocument } from './pipe-size.ts'
import { ListOf, Within } from './rules.ts'
import { Nested } from '../check/nested.ts'

/** One line of pipe from a pump's outlet or a tee to its end, in the order the water passes. */
export class RunDocument implements Run {
  @Nested(() => PipeSizeDocument)
  @IsObject({ message: 'must be a pipe size: an object with series, size and boreM' })
  @ValidateNested()
  size!: PipeSizeDocument

  @ListOf(0, COUNTS.pieces, 'Pieces in the order the water passes them.')
  @Nested(() => PieceDocument, { key: 'kind', kinds: PIECE_CLASSES })
  @ValidateNested({ each: true })
  pieces!: Piece[]

  @Within(
    LIMITS.roughness,
    'Roughness of the wall, m: 0.0000015 new plastic; 0.00005 to 0.0003 after months of biofilm.',
  )
  roughnessM!: number

  @Within(LIMITS.ribbedFactor, 'Factor on friction in ribbed hose; 2 unless measured.')
  ribbedFactor!: number
}
