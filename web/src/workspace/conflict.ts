import { COUNTS } from '@yew-basin/contract/limits'
import { basinsApi } from '../api/basins.ts'
import { useNotices } from '../shell/notices.ts'
import type { Autosave } from './autosave.ts'
import type { useDesignHistory } from './design-history.ts'
import type { useOpenedBasin } from './opened-basin.ts'

/** The three ways on when another tab saved first. None of them loses either side. */
export function useConflict(
  saves: Autosave,
  history: ReturnType<typeof useDesignHistory>,
  opened: ReturnType<typeof useOpenedBasin>,
) {
  const notices = useNotices()

  /** Theirs replaces ours on the screen; ours is one undo away. */
  function takeTheirs(): void {
    const answer = saves.takeTheirs()
    if (answer) history.put(answer.design)
  }

  /** Ours becomes a basin of its own, theirs stays where it is. Gives the new basin's id. */
  async function keepBoth(): Promise<string | null> {
    const mine = history.design.value
    const basin = opened.basin.value
    if (!mine || !basin) return null
    const name = `${basin.name} (mine)`.slice(0, COUNTS.nameLength)
    try {
      const copy = await basinsApi.bringIn(JSON.stringify(opened.asFile(name, mine)))
      takeTheirs()
      return copy.id
    } catch (error) {
      notices.tell((error as Error).message, { tone: 'bad' })
      return null
    }
  }

  return { takeTheirs, keepBoth, keepMine: () => saves.keepMine() }
}
