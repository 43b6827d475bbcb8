import type { DrillOutcome } from '@yew-basin/core'

/** An outcome in words. */
export const OUTCOME_WORDS: Readonly<Record<DrillOutcome, string>> = {
  wet: 'water on the floor',
  watch: 'dry, keep an eye on it',
  dry: 'floor dry',
}

/** How fast a drill is played: so many seconds of it in one of ours; paced: by what happens. */
export const RATES = [
  { value: 'paced', label: 'paced by what happens' },
  { value: '1', label: 'as fast as it is' },
  { value: '10', label: '10 times as fast' },
  { value: '100', label: '100 times as fast' },
  { value: '1000', label: '1000 times as fast' },
] as const
export type Rate = (typeof RATES)[number]['value']
