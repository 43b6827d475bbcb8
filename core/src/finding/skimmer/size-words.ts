import { sentence, type Sentence } from '../../quantity/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'

const LOAD_WORDS = { light: 'a light load', medium: 'a medium load', heavy: 'a heavy load' }
const OTHER_SAYS = { small: 'it is too small', fits: 'it fits', large: 'it is too large' }

/** What the school in force counts. */
export function counted({ skimmer: { inForce }, whole }: SkimmerCase): Sentence {
  const load = LOAD_WORDS[whole.treatment.load.loadClass]
  return sentence(
    inForce.school === 'match'
      ? 'At {load} it is rated for {rated}; there are {wanted} of water.'
      : 'Its box says {rated}; you ask for {wanted}, your factor times the water.',
    { load, rated: ['volume', inForce.ratedM3], wanted: ['volume', inForce.wantedM3] },
  )
}

/** The other school's word, which stands beside it. */
export function beside({ skimmer: { inForce, verdicts } }: SkimmerCase): Sentence {
  const other = verdicts[inForce.school === 'match' ? 'oversize' : 'match']
  const says = other.says === inForce.says ? 'the same' : OTHER_SAYS[other.says]
  return sentence(' The other school says {says}.', { says })
}
