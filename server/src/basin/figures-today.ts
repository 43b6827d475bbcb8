import {
  type BasinDesign,
  onDay,
  shelfFigures,
  type ShelfFigures,
  solveBasin,
} from '@yew-basin/core'

/** What a design's card shows of it, its lamps as old as they are today. */
export function figuresToday(design: BasinDesign, now = new Date()): ShelfFigures {
  return shelfFigures(solveBasin(onDay(design, now.toISOString().slice(0, 10))))
}
