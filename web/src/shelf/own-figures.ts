import type { ShelfEntry } from '@yew-basin/contract'
import type { ShelfFigures } from '@yew-basin/core'

/** What this page itself computed of the basins it had open, and which save that was of. */
export function useOwnFigures() {
  const own = new Map<string, { readonly savedAt: string; readonly figures: ShelfFigures }>()

  /** A basin is left: its card need not wait for the server's figures. */
  function leftBasin(id: string, savedAt: string, figures: ShelfFigures): void {
    own.set(id, { savedAt, figures })
  }

  /** The card with our figures, where the server's are of a save before it. */
  function withOwn(entry: ShelfEntry): ShelfEntry {
    const known = own.get(entry.id)
    if (entry.figuresCurrent || known?.savedAt !== entry.changedAt) return entry
    return { ...entry, figures: known.figures, figuresCurrent: true }
  }

  return { leftBasin, withOwn }
}
