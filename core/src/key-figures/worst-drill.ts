import type { DrillOutcome, Verdict } from '../drill/index.ts'
import type { Severity } from '../finding/index.ts'
import { measured } from '../quantity/index.ts'
import { type KeyFigure, keyFigureWords } from './key-figure.ts'

/** How a drill's outcome stands beside findings. */
export const STATE_OF: Readonly<Record<DrillOutcome, Severity>> = {
  wet: 'stop',
  watch: 'watch',
  dry: 'fine',
}

/** The worst of the bad days, as a figure a design is known by: what reaches the floor, or what is left to a rim. */
export function worstDrillFigure({ outcome, spilledM3, marginM }: Verdict): KeyFigure {
  const wet = outcome === 'wet'
  return {
    id: 'drills',
    label: 'Worst drill',
    value: wet ? measured('volume', spilledM3) : measured('length', marginM),
    beside: keyFigureWords(wet ? 'on the floor' : 'to a rim'),
    station: 'drills',
    state: STATE_OF[outcome],
    finding: null,
  }
}
