import type { BasinAnswer } from '@yew-basin/contract'
import { FILE_FORMAT, FORMAT_VERSION } from '@yew-basin/contract/format'
import {
  applyEdits,
  solveBasin,
  type BasinDesign,
  type Edit,
  type Fix,
  type Severity,
} from '@yew-basin/core'
import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { basinsApi, designsApi } from '../api/basins.ts'
import { Refused } from '../api/client.ts'
import { useNotices } from '../shell/notices.ts'
import { useAutosave } from './autosave.ts'
import { changed, deepened, redone, startHistory, undone, type History } from './history.ts'

/** The opened basin: its design, what is solved of it, its history and its saves. */
export const useDesign = defineStore('design', () => {
  const basin = shallowRef<Pick<BasinAnswer, 'id' | 'name' | 'note'> | null>(null)
  const designName = ref('')
  const history = shallowRef<History<BasinDesign> | null>(null)
  const loadState = ref<'loading' | 'ready' | 'missing' | 'failed'>('loading')
  const loadFault = ref('')
  const preview = shallowRef<Fix | null>(null)
  const selectedPieceId = ref<string | null>(null)
  /** Revision that the oldest state in the history was saved as; there may be older ones on the server. */
  const oldestRevision = ref(1)
  let designId = ''

  const notices = useNotices()
  const saves = useAutosave(() => history.value?.present ?? null)

  const design = computed(() => history.value?.present ?? null)
  /** What is on the screen: the design, or a fix being looked at. */
  const shown = computed(() =>
    design.value && preview.value ? applyEdits(design.value, preview.value.edits) : design.value,
  )
  const solved = computed(() => (shown.value ? solveBasin(shown.value) : null))
  const canUndo = computed(() => (history.value?.past.length ?? 0) > 0 || oldestRevision.value > 1)
  const canRedo = computed(() => (history.value?.future.length ?? 0) > 0)

  /** Worst finding of each stop. */
  const states = computed(() => {
    const worst: Record<'tank' | 'return', Severity> = { tank: 'fine', return: 'fine' }
    for (const finding of [...(solved.value?.findings ?? [])].reverse())
      worst[finding.stop] = finding.severity
    return worst
  })

  async function open(id: string): Promise<void> {
    loadState.value = 'loading'
    history.value = null
    preview.value = null
    selectedPieceId.value = null
    try {
      const answer = await basinsApi.open(id)
      basin.value = { id: answer.id, name: answer.name, note: answer.note }
      designName.value = answer.current.name
      designId = answer.current.id
      history.value = startHistory(answer.current.design)
      oldestRevision.value = answer.current.revision
      saves.begin(answer.current)
      bringBack(answer)
      loadState.value = 'ready'
    } catch (error) {
      loadFault.value = (error as Error).message
      const missing = error instanceof Refused && error.problem.code === 'not-found'
      loadState.value = missing ? 'missing' : 'failed'
    }
  }

  /** Work that did not reach the server last time goes on top of what it has. */
  function bringBack({ current }: BasinAnswer): void {
    const left = saves.leftOver(current)
    if (!left) return
    history.value = changed(startHistory(current.design), left.design, 'left over', Date.now())
    if (left.moved) return
    saves.touch()
    notices.tell('Changes that had not been saved are back.')
  }

  function put(next: BasinDesign, key: string): void {
    if (!history.value) return
    preview.value = null
    history.value = changed(history.value, next, key, Date.now())
    saves.touch()
  }

  /** Makes edits as one step; edits with the same key in one breath are one step together. */
  function edit(edits: readonly Edit[], key = ''): void {
    if (design.value)
      put(applyEdits(design.value, edits), key || JSON.stringify(edits.map((one) => one.path)))
  }

  function set(path: readonly (string | number)[], to: unknown): void {
    edit([{ op: 'set', path, to }], path.join('.'))
  }

  async function undo(): Promise<void> {
    preview.value = null
    if (!history.value) return
    if (history.value.past.length === 0) await reachBack()
    if (history.value.past.length === 0) return
    history.value = undone(history.value)
    saves.touch()
  }

  /** Fetches the state before the oldest one here: undo outlives the session. */
  async function reachBack(): Promise<void> {
    try {
      const older = await designsApi.before(designId, oldestRevision.value)
      if (!history.value) return
      oldestRevision.value = older.revision
      history.value = deepened(history.value, older.design)
    } catch (error) {
      if (error instanceof Refused && error.problem.code === 'not-found') oldestRevision.value = 1
      else notices.tell((error as Error).message, { tone: 'bad' })
    }
  }

  function redo(): void {
    preview.value = null
    if (!history.value) return
    history.value = redone(history.value)
    saves.touch()
  }

  function look(fix: Fix): void {
    preview.value = preview.value === fix ? null : fix
  }

  function applyFix(fix: Fix): void {
    edit(fix.edits, `fix ${Date.now()}`)
  }

  /** Their state replaces ours on the screen; ours is one undo away. */
  function takeTheirs(): void {
    const answer = saves.takeTheirs()
    if (!answer || !history.value) return
    history.value = changed(history.value, answer.design, 'theirs', Date.now())
    oldestRevision.value = Math.min(oldestRevision.value, answer.revision)
  }

  /** Ours becomes a basin of its own, theirs stays where it is. Gives the new basin's id. */
  async function keepBoth(): Promise<string | null> {
    const mine = design.value
    if (!mine || !basin.value) return null
    try {
      const copy = await basinsApi.bringIn(
        JSON.stringify(asFile(`${basin.value.name} (mine)`, mine)),
      )
      takeTheirs()
      return copy.id
    } catch (error) {
      notices.tell((error as Error).message, { tone: 'bad' })
      return null
    }
  }

  /** What is on the screen as an exportable file, for when the server cannot have it. */
  function asFile(name: string, document: BasinDesign) {
    return {
      format: FILE_FORMAT,
      formatVersion: FORMAT_VERSION,
      name,
      note: basin.value?.note ?? '',
      designs: [{ name: designName.value, current: true, design: document }],
    }
  }

  useEventListener(window, 'online', saves.retryNow)
  useEventListener(window, 'pagehide', saves.leave)

  return {
    basin,
    designName,
    design,
    shown,
    solved,
    states,
    preview,
    selectedPieceId,
    loadState,
    loadFault,
    canUndo,
    canRedo,
    saveState: saves.state,
    savedAt: saves.savedAt,
    saveFault: saves.fault,
    theirs: saves.theirs,
    open,
    edit,
    set,
    undo,
    redo,
    look,
    applyFix,
    keepMine: saves.keepMine,
    takeTheirs,
    keepBoth,
    retryNow: saves.retryNow,
    leave: saves.leave,
    asFile,
  }
})
