import type { RevisionAnswer } from '@yew-basin/contract'
import { applyEdits, onDay, type BasinDesign, type Fix, editing } from '@yew-basin/core'
import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { designsApi } from '../api/basins.ts'
import { Refused } from '../api/client.ts'
import { useToday } from '../shell/clock.ts'
import { useParts } from '../parts/parts-store.ts'
import { useNotices } from '../shell/notices.ts'
import { useStandings } from './assumed.ts'
import { Autosave } from './autosave.ts'
import { useConflict } from './conflict.ts'
import { useDesignHistory } from './design-history.ts'
import { useEdits } from './edits.ts'
import { useOpenedBasin } from './opened-basin.ts'
import { useSelection } from './selection.ts'
import { useSolved } from './use-solved.ts'

/** A design as a fix would have it. */
const changed = (now: BasinDesign, { edits }: Fix) =>
  applyEdits(now, editing.withFollowing(now, edits))

/** A save that stands still is said where the keeper looks, however far down the page that is. */
function tellOfRefusals(saves: Autosave): void {
  const notices = useNotices()
  watch(saves.state, (state) => {
    if (state === 'refused') notices.tell(`Not saved: ${saves.fault.value}`, { tone: 'bad' })
  })
}

/** A lost connection that is back, and a page that is left, both ask for a save. */
function listen(saves: Autosave, press: () => void): void {
  useEventListener(window, ['pointerdown', 'focusin'], press, { capture: true })
  useEventListener(window, 'online', () => saves.retryNow())
  useEventListener(window, 'pagehide', () => void saves.leave())
  useEventListener(window, 'beforeunload', (event) => {
    if (saves.wouldLose.value) event.preventDefault()
  })
}

/** The opened basin: its design, what is solved of it, its history and its saves. */
export const useDesign = defineStore('design', () => {
  const notices = useNotices()
  const opened = useOpenedBasin()
  const saves: Autosave = new Autosave(() => history.design.value)
  const history = useDesignHistory(() => saves.markDirty(), olderThan)
  const preview = shallowRef<Fix | null>(null)

  const { design } = history
  const today = useToday()
  const present = computed(() => design.value && onDay(design.value, today.value))
  const shown = computed(() =>
    present.value && preview.value ? changed(present.value, preview.value) : present.value,
  )
  const { steady, solved, running, ...heard } = useSolved(shown)
  const selection = useSelection(shown, solved)

  async function open(id: string): Promise<void> {
    preview.value = null
    selection.clear()
    const answer = await opened.fetchBasin(id)
    if (!answer) return
    history.begin(answer.current.design, answer.current.revision)
    saves.begin(answer.current)
    // Work that did not reach the server last time is put on top of what it has.
    const left = await saves.recovered(answer.current)
    if (opened.basin.value !== answer) return
    if (left) {
      history.put(left.design)
      if (!left.moved) notices.tell('Changes that had not been saved are back.')
    }
    opened.loadState.value = 'ready'
  }

  async function olderThan(revision: number): Promise<RevisionAnswer | null> {
    try {
      return await designsApi.before(opened.basin.value!.current.id, revision)
    } catch (error) {
      const none = error instanceof Refused && error.problem.code === 'not-found'
      if (!none) notices.tell((error as Error).message, { tone: 'bad' })
      return null
    }
  }

  const parts = useParts()
  const edits = useEdits(history, preview, () => ({
    devices: parts.kept.devices,
    returnM3PerS: steady.value?.returnSide.flowM3PerS ?? 0,
  }))
  const { edit } = edits
  const standing = useStandings(shown, solved, history.edit)

  async function step(back: boolean): Promise<void> {
    // A fix that is only looked at is put away first; nothing was changed that could be undone.
    if (preview.value) preview.value = null
    else if (back) await history.undo()
    else history.redo()
  }

  listen(saves, history.press)
  tellOfRefusals(saves)

  return {
    basin: opened.basin,
    loadState: opened.loadState,
    loadFault: opened.loadFault,
    asFile: opened.asFile,
    design,
    present,
    shown,
    steady,
    solved,
    running,
    preview,
    ...selection,
    ...standing,
    canUndo: history.canUndo,
    canRedo: history.canRedo,
    ...saves.shown,
    ...useConflict(saves, history, opened),
    open,
    ...edits,
    /** Another design in the place of this one, as one step. */
    put: (next: BasinDesign) => history.put(next),
    undo: () => step(true),
    redo: () => step(false),
    ...heard,
    look: (fix: Fix) => (preview.value = fix),
    applyFix: ({ edits }: Fix) => edit(edits),
  }
})
