import type { ShelfEntry } from '@yew-basin/contract'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { basinsApi } from '../api/basins.ts'
import { Refused } from '../api/client.ts'
import { useOwnFigures } from './own-figures.ts'
import { useNotices } from '../shell/notices.ts'
import { useUnits } from '../shell/units.ts'

/** Figures that are being computed are asked for again after these waits. */
const ASK_AGAIN_MS = [1500, 3000, 6000]

/** The basins of this workspace. */
export const useShelf = defineStore('shelf', () => {
  const entries = shallowRef<readonly ShelfEntry[]>([])
  const state = ref<'loading' | 'ready' | 'failed'>('loading')
  const fault = ref('')
  const notices = useNotices()
  const units = useUnits()
  const allCurrent = computed(() => entries.value.every(({ figuresCurrent }) => figuresCurrent))
  let timer: ReturnType<typeof setTimeout> | undefined
  const { leftBasin, withOwn } = useOwnFigures()

  /** All pages of the shelf; the first is shown while the others come. */
  async function load(): Promise<void> {
    try {
      let after: string | null = null
      let read: readonly ShelfEntry[] = []
      do {
        const page = await basinsApi.shelf(after)
        read = [...read, ...page.entries.map(withOwn)]
        after = page.next
        if (state.value !== 'ready' || after === null) entries.value = read
        state.value = 'ready'
      } while (after !== null)
    } catch (error) {
      fault.value = (error as Error).message
      state.value = 'failed'
    }
  }

  /** Asks again for figures that are still being computed, a few times. */
  function awaitFigures(tries = 0): void {
    clearTimeout(timer)
    const wait = ASK_AGAIN_MS[tries]
    if (allCurrent.value || wait === undefined) return
    timer = setTimeout(() => void load().then(() => awaitFigures(tries + 1)), wait)
  }

  /** The shelf is left: nothing is asked any more. */
  const leave = () => clearTimeout(timer)

  /** Runs a change and reads the shelf again; says what went wrong if it did. */
  async function change<T>(run: () => Promise<T>): Promise<T | null> {
    try {
      const done = await run()
      await load()
      awaitFigures()
      return done
    } catch (error) {
      notices.tell(toldOf(error), { tone: 'bad' })
      if (error instanceof Refused && error.problem.code === 'revision-moved') await load()
      return null
    }
  }

  const create = (name: string) => change(() => basinsApi.create(name, units.family))
  const duplicate = (id: string) => change(() => basinsApi.duplicate(id))

  async function rename({ id, name: before, revision }: ShelfEntry, name: string): Promise<void> {
    const renamed = await change(() => basinsApi.rename(id, revision, name))
    if (!renamed || name === before) return
    const back = () => change(() => basinsApi.rename(id, renamed.revision, before))
    notices.tell(`${before} is called ${name} now.`, { action: { label: 'Undo', run: back } })
  }

  async function remove({ id, name, revision }: ShelfEntry): Promise<void> {
    const removed = await change(async () => {
      await basinsApi.remove(id, revision)
      return true
    })
    if (!removed) return
    notices.tell(`${name} is in the bin.`, {
      action: { label: 'Undo', run: () => change(() => basinsApi.restore(id)) },
    })
  }

  return {
    entries,
    state,
    fault,
    load,
    awaitFigures,
    leave,
    leftBasin,
    create,
    rename,
    duplicate,
    remove,
  }
})

/** What was changed elsewhere first names what stands there. */
function toldOf(error: unknown): string {
  if (error instanceof Refused && error.problem.code === 'revision-moved') {
    const { name } = (error.problem.current ?? {}) as { name?: string }
    return `It was changed elsewhere first: it is called ${name} now. Nothing was changed here; try again.`
  }
  return (error as Error).message
}
