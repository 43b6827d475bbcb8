import { type BasinDesign, lastWord, onDay, shelfFigures, type ShelfFigures } from '@yew-basin/core'

/** What a design's card shows of it: its lamps as old as they are today, its drills run. Takes seconds for the largest. */
export function figuresToday(design: BasinDesign, now = new Date()): ShelfFigures {
  const today = onDay(design, now.toISOString().slice(0, 10))
  return shelfFigures(lastWord.solveWithLastWord(today))
}
