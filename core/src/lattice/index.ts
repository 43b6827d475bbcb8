export { LATTICE_DIRECTIONS, WEIGHTS } from './d3q19.ts'
export { Lattice, type SourceTerm } from './lattice.ts'
export { SLIPS } from './shape.ts'
