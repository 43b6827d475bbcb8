import type { SkimmerCase } from '../case/device-case.ts'

const LOAD_WORDS = { light: 'a light load', medium: 'a medium load', heavy: 'a heavy load' }
const OTHER_SAYS = { small: 'it is too small', fits: 'it fits', large: 'it is too large' }

/** What the school in force counts, in a sentence with `ratedAndWanted`. */
export function counted({ skimmer: { inForce }, whole }: SkimmerCase): string {
  return inForce.school === 'match'
    ? `At ${LOAD_WORDS[whole.treatment.load.loadClass]} it is rated for {rated}; there are {wanted} of water.`
    : 'Its box says {rated}; you ask for {wanted}, your factor times the water.'
}

/** The other school's word, which stands beside it. */
export function beside({ skimmer: { inForce, verdicts } }: SkimmerCase): string {
  const other = verdicts[inForce.school === 'match' ? 'oversize' : 'match']
  return other.says === inForce.says
    ? ' The other school says the same.'
    : ` The other school says ${OTHER_SAYS[other.says]}.`
}

/** What it is rated for and what is wanted, as a sentence needs them. */
export function ratedAndWanted({ skimmer: { inForce } }: SkimmerCase) {
  return { rated: ['volume', inForce.ratedM3], wanted: ['volume', inForce.wantedM3] } as const
}
