import { applyEdits, type BasinDesign, type Edit } from '@yew-basin/core'
import { computed, ref, shallowRef } from 'vue'
import type { RevisionAnswer } from '@yew-basin/contract'
import { changed, deepened, redone, startHistory, undone, type History } from './history.ts'

/** The design on the screen with all that can be undone; undo reaches past this session into kept revisions. */
export function useDesignHistory(
  after: () => void,
  older: (revision: number) => Promise<RevisionAnswer | null>,
) {
  const history = shallowRef<History<BasinDesign> | null>(null)
  /** Revision that the oldest state here was saved as. */
  const oldestRevision = ref(1)

  const design = computed(() => history.value?.present ?? null)
  const canUndo = computed(() => (history.value?.past.length ?? 0) > 0 || oldestRevision.value > 1)
  const canRedo = computed(() => (history.value?.future.length ?? 0) > 0)

  function begin(from: BasinDesign, revision: number): void {
    history.value = startHistory(from)
    oldestRevision.value = revision
  }

  /** Makes edits as one step; edits with the same key in one breath are one step together. */
  function edit(edits: readonly Edit[], key: string): void {
    if (design.value) put(applyEdits(design.value, edits), key)
  }

  function put(next: BasinDesign, key: string): void {
    if (!history.value) return
    history.value = changed(history.value, next, key, Date.now())
    after()
  }

  async function undo(): Promise<void> {
    if (history.value?.past.length === 0) await reachBack()
    if (!history.value || history.value.past.length === 0) return
    history.value = undone(history.value)
    after()
  }

  async function reachBack(): Promise<void> {
    const found = await older(oldestRevision.value)
    oldestRevision.value = found?.revision ?? 1
    if (found && history.value) history.value = deepened(history.value, found.design)
  }

  function redo(): void {
    if (!history.value || !canRedo.value) return
    history.value = redone(history.value)
    after()
  }

  return { design, canUndo, canRedo, begin, edit, put, undo, redo }
}
