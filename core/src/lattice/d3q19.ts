/** The 19 directions a population moves in: at rest, then in pairs, each followed by its opposite. */
export const LATTICE_DIRECTIONS: readonly (readonly [number, number, number])[] = [
  [0, 0, 0],
  [1, 0, 0],
  [-1, 0, 0],
  [0, 1, 0],
  [0, -1, 0],
  [0, 0, 1],
  [0, 0, -1],
  [1, 1, 0],
  [-1, -1, 0],
  [1, -1, 0],
  [-1, 1, 0],
  [1, 0, 1],
  [-1, 0, -1],
  [1, 0, -1],
  [-1, 0, 1],
  [0, 1, 1],
  [0, -1, -1],
  [0, 1, -1],
  [0, -1, 1],
]

/** Weight of each direction at rest: 1/3, 1/18 along an axis, 1/36 along a diagonal. */
export const WEIGHTS: readonly number[] = LATTICE_DIRECTIONS.map((direction) => {
  const steps = direction.filter((part) => part !== 0).length
  return steps === 0 ? 1 / 3 : steps === 1 ? 1 / 18 : 1 / 36
})

/** The direction that leads back. */
export function opposite(direction: number): number {
  if (direction === 0) return 0
  return direction % 2 === 1 ? direction + 1 : direction - 1
}
