import {
  applyEdits,
  assuming,
  type At,
  type BasinDesign,
  type Edit,
  type EditPath,
  editing,
  type Fix,
  setTo,
} from '@yew-basin/core'
import type { ComputedRef, ShallowRef } from 'vue'

/** What the edits of the opened design are made on. */
interface Edited {
  readonly design: ComputedRef<BasinDesign | null>
  readonly edit: (edits: readonly Edit[]) => void
}

/** Changes of the opened design, each with what follows of it and with what it makes given or assumed. */
export function useEdits(history: Edited, preview: ShallowRef<Fix | null>) {
  /** What the keeper changes: it is given from then on. */
  function edit(edits: readonly Edit[]): void {
    preview.value = null
    const now = history.design.value
    if (now) history.edit(assuming.withMarks(now, editing.withFollowing(now, edits), 'given'))
  }
  /** What a builder lays: its figures are assumed, but for those the keeper gave it. */
  function lay(edits: readonly Edit[], given: readonly string[] = []): void {
    preview.value = null
    const now = history.design.value
    if (!now) return
    const marked = assuming.withMarks(now, editing.withFollowing(now, edits), 'laid')
    history.edit([...marked, ...assuming.confirmed(applyEdits(now, marked), given)])
  }
  function set<const Path extends EditPath>(path: Path, to: At<Path>): void {
    const now = history.design.value
    edit(now ? editing.turnedByHand(now, setTo(path, to)) : [])
  }
  return { edit, lay, set }
}
