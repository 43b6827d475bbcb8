export { DIRECTIONS, WEIGHTS } from './d3q19.ts'
export { type Gift, Lattice } from './lattice.ts'
export { SLIPS } from './shape.ts'
