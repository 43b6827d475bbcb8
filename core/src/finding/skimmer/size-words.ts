import { sentence, type Sentence } from '../../quantity/index.ts'
import type { LoadClass, SizeSays, SkimmerVerdict } from '../../skimmer/index.ts'
import type { SkimmerCase } from '../case/device-case.ts'

const LOAD_WORDS: Readonly<Record<LoadClass, string>> = {
  light: 'a light load',
  medium: 'a medium load',
  heavy: 'a heavy load',
}
const OTHER_SAYS: Readonly<Record<SizeSays, string>> = {
  small: 'it is too small',
  'borderline-small': 'it is on the small side',
  fits: 'it fits',
  'borderline-large': 'it is on the large side',
  large: 'it is too large',
}
const TIPS: Readonly<Record<'least' | 'most', string>> = {
  least: ' It is so on a day of least feeding.',
  most: ' It is so on a day of most feeding.',
}

/** What the school in force counts, and at which end of the feeding it tips. */
export function counted({ skimmer: { inForce }, whole }: SkimmerCase): Sentence {
  const { least, most } = whole.treatment.load
  const load = (inForce.tipsAt === 'least' ? least : most).loadClass
  return sentence(
    inForce.school === 'match'
      ? 'At {load} it is rated for {rated}; there are {water} of water, and {from} to {to} of that suit.{tips}'
      : 'Its box says {rated}; there are {water} of water, and you ask for {from} to {to} of that.',
    {
      load: LOAD_WORDS[load],
      rated: ['volume', inForce.ratedM3],
      water: ['volume', inForce.wantedM3],
      from: ['share', inForce.fitsFrom],
      to: ['share', inForce.fitsTo],
      tips: inForce.tipsAt ? TIPS[inForce.tipsAt] : '',
    },
  )
}

/** The other school's word, which stands beside it. */
export function beside({ skimmer: { inForce, verdicts } }: SkimmerCase): Sentence {
  const other: SkimmerVerdict = verdicts[inForce.school === 'match' ? 'oversize' : 'match']
  const says = other.says === inForce.says ? 'the same' : OTHER_SAYS[other.says]
  return sentence(' The other school says {says}.', { says })
}
