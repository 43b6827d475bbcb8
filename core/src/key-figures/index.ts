export type { KeyFigure, KeyFigureName } from './key-figure.ts'
export { keyFigures } from './key-figures.ts'
export { shelfFigures, type ShelfFigures } from './shelf-figures.ts'
export { STATE_OF, worstDrillFigure } from './worst-drill.ts'
