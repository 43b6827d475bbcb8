import type { Point } from '@yew-basin/core'
import { LIMITS } from './limits.ts'
import { Within } from './rules.ts'

/** A place in the room. */
export class PointDocument implements Point {
  @Within(LIMITS.place, 'To the right of the first tank’s left inside face, m.')
  xM!: number

  @Within(LIMITS.place, 'Behind the first tank’s front inside face, m.')
  yM!: number

  @Within(LIMITS.place, 'Above the room’s floor, m.')
  zM!: number
}
