import { applyEdits, type BasinDesign, type Edit } from '@yew-basin/core'
import { computed, ref, shallowRef } from 'vue'
import type { RevisionAnswer } from '@yew-basin/contract'
import isEqual from 'fast-deep-equal'
import { changed, closed, deepened, redone, startHistory, undone, type History } from './history.ts'

/** What edits change; null: they put something in or out, which is never more of the same. */
function touchedBy(edits: readonly Edit[]): string | null {
  return edits.every(({ op }) => op === 'set')
    ? edits
        .map(({ path }) => path.join('.'))
        // That it is given now goes with whatever was typed.
        .filter((path) => path !== 'assumed')
        .join(' ')
    : null
}

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

  /** Makes edits as one step; edits of the same things in one breath are one step together. */
  function edit(edits: readonly Edit[]): void {
    if (design.value) put(applyEdits(design.value, edits), touchedBy(edits))
  }

  /** Another design in the place of this one. What changes nothing is no step. */
  function put(next: BasinDesign, path: string | null = null): void {
    if (!history.value || isEqual(next, history.value.present)) return
    history.value = changed(history.value, next, path, Date.now())
    after()
  }

  /** A press, or another field, begins a step of its own: two presses of one button are two steps. */
  function press(): void {
    if (history.value) history.value = closed(history.value)
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

  return { design, canUndo, canRedo, begin, edit, put, press, undo, redo }
}
