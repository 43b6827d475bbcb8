export { LATTICE_DIRECTIONS, WEIGHTS } from './d3q19.ts'
export { type HeldWater, Lattice, type Moments, type SourceTerm } from './lattice.ts'
export { SLIPS, STICKS } from './shape.ts'
export { neighbour } from './slip.ts'
