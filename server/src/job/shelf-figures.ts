import type { ShelfFigures } from '@yew-basin/contract'
import { keyFigures, solveBasin, type BasinDesign, type KeyFigureName } from '@yew-basin/core'

/** What a card of the shelf shows of a design. */
const SHOWN: readonly KeyFigureName[] = ['netVolume', 'flow', 'turnover']

/** The shelf's figures of a design, computed by the core as the page computes them. */
export function shelfFigures(design: BasinDesign): ShelfFigures {
  const solved = solveBasin(design)
  const worst = solved.findings[0]
  return {
    figures: keyFigures(solved)
      .filter(({ id, value }) => SHOWN.includes(id) && Number.isFinite(value.si))
      .map(({ id, label, value }) => ({ id, label, value })),
    worst: worst ? { severity: worst.severity, title: worst.title } : null,
  }
}
