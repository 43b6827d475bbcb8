import type { Finding } from '../finding/index.ts'
import type { KeyFigure, KeyFigureName } from './key-figure.ts'
import { type Found, keyFigures } from './key-figures.ts'

/** What a card of the shelf shows of a design: plain data, kept with the revision it is of. */
export interface ShelfFigures {
  readonly figures: readonly Pick<KeyFigure, 'id' | 'label' | 'value'>[]
  /** The worst that was found; null: nothing. */
  readonly worst: Pick<Finding, 'severity' | 'title'> | null
}

/** Those a basin is told from another by. */
const SHOWN: readonly KeyFigureName[] = ['netVolume', 'flow', 'turnover']

/** A solved design as its card shows it; a figure that has no value is left out. */
export function shelfFigures(solved: Found): ShelfFigures {
  const worst = solved.findings[0]
  return {
    figures: keyFigures(solved)
      .filter(({ id, value }) => SHOWN.includes(id) && Number.isFinite(value.si))
      .map(({ id, label, value }) => ({ id, label, value })),
    worst: worst ? { severity: worst.severity, title: worst.title } : null,
  }
}
