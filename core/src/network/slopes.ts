/** Least slope in the matrix, s/m²: a link without losses is pulled to balance instead of divided by zero. */
export const LEAST_RESISTANCE = 0.1

/** A rate to divide by. */
export function atLeast(perFlow: number): number {
  return Math.abs(perFlow) > LEAST_RESISTANCE ? perFlow : LEAST_RESISTANCE
}

/** Where the slopes of a tee begin: how the heads of its legs a and b move with the flows down them, over its upper leg's head, s/m². */
export const TEE_SLOPES = 4
/** Of leg a with the flow down a and down b, then of leg b. */
export const AA = 0
export const AB = 1
export const BA = 2
export const BB = 3

/** What a matrix is made of: of each live link, s/m², and of each tee from `TEE_SLOPES` times its place on. */
export interface Slopes {
  readonly link: number[]
  readonly tees: number[]
}

/** What is added to the equations of links and tees; written into by who asks. All counted away from the root. */
export interface Sides {
  /** Head lost along each live link, m. */
  readonly link: number[]
  /** Head of each tee's legs a and b over its upper leg, m, two a tee. */
  readonly legs: number[]
  /** What comes down to each tee more than leaves it, m³/s. */
  readonly surplus: number[]
  /** Head of each node that is known, m. */
  readonly known: number[]
}
