import type { DesignAnswer } from '@yew-basin/contract'
import type { BasinDesign } from '@yew-basin/core'
import { computed, ref, shallowRef } from 'vue'
import { designsApi } from '../api/basins.ts'
import { Refused, Unreachable } from '../api/client.ts'
import { Drafts, tabName } from './drafts.ts'

/**
 * saved: the server has it. waiting: it will in a moment. saving: on its way. offline: kept here,
 * tried again. conflict: another tab saved first. refused: the server will not have it; gone: the
 * basin is not there any more.
 */
export type SaveState = 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused' | 'gone'

const PAUSE_MS = 500
const FIRST_RETRY_MS = 1500
const LAST_RETRY_MS = 20_000

/** Saves a design as it changes, one save at a time, never over a revision it has not seen. */
export function useAutosave(read: () => BasinDesign | null) {
  const state = ref<SaveState>('saved')
  const savedAt = ref('')
  const fault = ref('')
  const theirs = shallowRef<DesignAnswer | null>(null)
  let designId = ''
  let revision = 0
  let savedDesign: BasinDesign | null = null
  let drafts: Drafts | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  let retryMs = FIRST_RETRY_MS

  const unsaved = computed(() => state.value !== 'saved')

  /** Starts on a design as the server has it. */
  function begin(answer: DesignAnswer): void {
    clearTimeout(timer)
    designId = answer.id
    drafts = new Drafts(designId, tabName())
    theirs.value = null
    settle(answer)
  }

  function settle(answer: DesignAnswer): void {
    revision = answer.revision
    savedAt.value = answer.savedAt
    savedDesign = answer.design
    retryMs = FIRST_RETRY_MS
    state.value = 'saved'
  }

  /** The design has changed; `savedDesign` is compared by identity, so an undo back to it needs no save. */
  function touch(): void {
    const design = read()
    if (!design || state.value === 'conflict' || state.value === 'gone') {
      if (design) drafts?.keep({ revision, design, at: Date.now() })
      return
    }
    if (design === savedDesign && state.value !== 'saving') {
      clearTimeout(timer)
      drafts?.drop()
      state.value = 'saved'
      return
    }
    drafts?.keep({ revision, design, at: Date.now() })
    if (state.value === 'saving') return
    if (state.value !== 'offline') state.value = 'waiting'
    schedule(PAUSE_MS)
  }

  function schedule(ms: number): void {
    clearTimeout(timer)
    timer = setTimeout(() => void save(), ms)
  }

  async function save(keepalive = false): Promise<void> {
    const design = read()
    if (!design || state.value === 'saving' || state.value === 'conflict') return
    clearTimeout(timer)
    state.value = 'saving'
    const savingId = designId
    try {
      const answer = await designsApi.save(designId, revision, design, keepalive)
      if (savingId !== designId) return
      settle({ ...answer, design })
      if (read() === design) drafts?.drop()
      else {
        state.value = 'waiting'
        touch()
      }
    } catch (error) {
      if (savingId === designId) failed(error)
    }
  }

  function failed(error: unknown): void {
    fault.value = (error as Error).message
    if (error instanceof Refused && error.problem.code === 'revision-moved') {
      theirs.value = error.problem.current as DesignAnswer
      state.value = 'conflict'
    } else if (error instanceof Refused && error.problem.code === 'not-found') {
      state.value = 'gone'
    } else if (error instanceof Refused && error.problem.code === 'invalid') {
      fault.value = (error.problem.faults ?? [])
        .map((one) => `${one.path} ${one.message}`)
        .join('; ')
      state.value = 'refused'
    } else if (error instanceof Unreachable || error instanceof Refused) {
      state.value = 'offline'
      schedule(retryMs)
      retryMs = Math.min(retryMs * 2, LAST_RETRY_MS)
    } else {
      throw error
    }
  }

  /** Settles a conflict by saving ours over theirs; theirs stays among the kept revisions. */
  function keepMine(): void {
    if (theirs.value) revision = theirs.value.revision
    theirs.value = null
    state.value = 'waiting'
    void save()
  }

  /** Settles a conflict with their state; the caller puts it on the screen. */
  function takeTheirs(): DesignAnswer | null {
    const answer = theirs.value
    if (!answer) return null
    theirs.value = null
    settle(answer)
    drafts?.drop()
    return answer
  }

  /** Left-over work found in this browser: its design, and whether the server has moved on since. */
  function leftOver(answer: DesignAnswer): { design: BasinDesign; moved: boolean } | null {
    const draft = drafts?.take(Date.now())
    if (!draft) return null
    if (draft.revision !== answer.revision) {
      revision = draft.revision
      theirs.value = answer
      state.value = 'conflict'
    }
    return { design: draft.design, moved: draft.revision !== answer.revision }
  }

  function retryNow(): void {
    if (state.value === 'offline') void save()
  }

  function leave(): void {
    if (state.value === 'waiting' || state.value === 'offline') void save(true)
  }

  return {
    state,
    savedAt,
    fault,
    theirs,
    unsaved,
    revision: () => revision,
    begin,
    touch,
    save,
    keepMine,
    takeTheirs,
    leftOver,
    retryNow,
    leave,
  }
}
