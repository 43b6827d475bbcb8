import { Type } from 'class-transformer'
import { IsObject, ValidateNested } from 'class-validator'
import type { Point, ReturnSide } from '@yew-basin/core'
import { LIMITS } from './limits.ts'
import { Id, Within } from './rules.ts'
import { RunDocument } from './run.ts'

/** A place in the room. */
export class PointDocument implements Point {
  @Within(LIMITS.place, 'To the right of the tank’s left inside face, m.')
  xM!: number

  @Within(LIMITS.place, 'Behind the tank’s front inside face, m.')
  yM!: number

  @Within(LIMITS.place, 'Above the room’s floor, m.')
  zM!: number
}

/** From the sump’s return chamber back to the tank. */
export class ReturnSideDocument implements ReturnSide {
  @Id('The pump in use, one of the design’s pumps.')
  pumpId!: string

  @Within(LIMITS.speed, 'Share of full speed; 1 for a pump of one speed.')
  speed!: number

  @Within(
    LIMITS.sourceLevel,
    'Running level of the water the pump draws from, over the room’s floor, m.',
  )
  sourceLevelM!: number

  @Type(() => PointDocument)
  @IsObject({ message: 'must be a place: an object with xM, yM and zM' })
  @ValidateNested()
  outlet!: PointDocument

  @Type(() => RunDocument)
  @IsObject({ message: 'must be a run: an object with size, pieces, roughnessM and ribbedFactor' })
  @ValidateNested()
  run!: RunDocument
}
