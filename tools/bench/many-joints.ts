import type { BasinDesign, Piece } from '@yew-basin/core'

/** Up, a union, aside, a union, and again: three joints a union, two an elbow. */
const TURNS = 40
const STEP_M = 0.15

/** A design whose first line goes up in so many steps that some 400 joints are on it. */
export function withManyJoints(design: BasinDesign): BasinDesign {
  const pieces = Array.from({ length: TURNS }, (_, i): Piece[] => [
    { id: `many-${i}-up`, kind: 'pipe', direction: 'up', lengthM: STEP_M },
    { id: `many-${i}-union`, kind: 'union' },
    { id: `many-${i}-on`, kind: 'pipe', direction: 'up', lengthM: STEP_M },
    { id: `many-${i}-elbow`, kind: 'elbow', form: 'standard-90' },
    {
      id: `many-${i}-aside`,
      kind: 'pipe',
      direction: i % 2 === 0 ? 'left' : 'right',
      lengthM: STEP_M,
    },
    { id: `many-${i}-next`, kind: 'union' },
    {
      id: `many-${i}-end`,
      kind: 'pipe',
      direction: i % 2 === 0 ? 'left' : 'right',
      lengthM: STEP_M,
    },
    { id: `many-${i}-turn`, kind: 'elbow', form: 'standard-90' },
  ]).flat()
  const [line, ...others] = design.returnSide.lines
  return {
    ...design,
    returnSide: {
      ...design.returnSide,
      lines: [{ ...line!, run: { ...line!.run, pieces } }, ...others],
    },
  }
}
