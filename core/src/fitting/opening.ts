import { constantLoss, type Loss } from './loss.ts'

/** How water enters a pipe: the wall flush with it, the pipe standing into the water, or its edge rounded. */
export type Entrance = 'flush' | 'projecting' | 'rounded'

const ENTRANCE_K: Readonly<Record<Entrance, number>> = {
  flush: 0.5,
  projecting: 0.78,
  rounded: 0.04,
}

/** Water drawn into a pipe: flush and sharp, standing into the water, or rounded. */
export function entranceLoss(entrance: Entrance): Loss {
  return constantLoss(ENTRANCE_K[entrance])
}

/** The velocity head is lost at an end, into a tank or into air: K = 1 on the last bore. */
export const EXIT_LOSS: Loss = constantLoss(1)

/** Share of a sharp opening that its jet fills (vena contracta). */
const CONTRACTION = 0.62

/**
 * Strainer on an inlet, added to the entrance's own K: Borda–Carnot on the vena contracta,
 * max(0, 1/(0.62 φ) − 1)², φ the strainer's open area over the pipe's.
 */
export function strainerLoss(openAreaRatio: number): Loss {
  return constantLoss(Math.max(0, 1 / (CONTRACTION * openAreaRatio) - 1) ** 2)
}

/** A union counts as two butt joints (choice). */
export const UNION_LOSS: Loss = constantLoss(0.04)
