import type { ShelfEntry } from '@yew-basin/contract'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { basinsApi } from '../api/basins.ts'
import { useNotices } from '../shell/notices.ts'

/** The basins of this workspace. */
export const useShelf = defineStore('shelf', () => {
  const entries = shallowRef<readonly ShelfEntry[]>([])
  const state = ref<'loading' | 'ready' | 'failed'>('loading')
  const fault = ref('')
  const notices = useNotices()

  async function load(): Promise<void> {
    try {
      entries.value = await basinsApi.shelf()
      state.value = 'ready'
    } catch (error) {
      fault.value = (error as Error).message
      state.value = 'failed'
    }
  }

  /** Runs a change and reads the shelf again; says what went wrong if it did. */
  async function change<T>(run: () => Promise<T>): Promise<T | null> {
    try {
      const done = await run()
      await load()
      return done
    } catch (error) {
      notices.tell((error as Error).message, { tone: 'bad' })
      return null
    }
  }

  const create = (name: string) => change(() => basinsApi.create(name))
  const rename = (id: string, name: string) => change(() => basinsApi.rename(id, name))
  const duplicate = (id: string) => change(() => basinsApi.duplicate(id))

  async function remove({ id, name }: ShelfEntry): Promise<void> {
    const removed = await change(async () => {
      await basinsApi.remove(id)
      return true
    })
    if (!removed) return
    notices.tell(`${name} is deleted.`, {
      action: { label: 'Undo', run: () => change(() => basinsApi.restore(id)) },
    })
  }

  return { entries, state, fault, load, create, rename, duplicate, remove }
})
