/** Another part in the place of one, each solved with everything else as it is. */
export { comparePumps, type PumpComparison } from './compare-pumps.ts'
export { type SterilizerCandidate, sterilizerCandidates } from './sterilizer-candidates.ts'
