import type { BinEntry, WorkspaceAnswer } from '@yew-basin/contract'
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { shelfApi } from '../api/basins.ts'
import { useNotices } from '../shell/notices.ts'

/** What keeps a shelf from being lost: its recovery key, its bin, and how much room it has. */
export const useSafekeeping = defineStore('safekeeping', () => {
  const workspace = shallowRef<WorkspaceAnswer | null>(null)
  const bin = shallowRef<readonly BinEntry[]>([])
  /** The key just made: shown until it is put away, and nowhere else. */
  const key = ref<string | null>(null)
  const fault = ref('')
  const ready = ref(false)
  /** A keeper is told once that a shelf without a key lives in this browser alone. */
  const told = useLocalStorage('yew.told-of-key', false)
  const asksForKey = computed(() => workspace.value?.hasRecoveryKey === false && !told.value)
  const notices = useNotices()

  async function load(): Promise<void> {
    try {
      const [mine, deleted] = await Promise.all([shelfApi.workspace(), shelfApi.bin()])
      workspace.value = mine
      bin.value = deleted.entries
      fault.value = ''
      ready.value = true
    } catch (error) {
      fault.value = (error as Error).message
    }
  }

  /** Runs a change and reads again; says what went wrong. True: it was done. */
  async function change(run: () => Promise<unknown>): Promise<boolean> {
    try {
      await run()
      await load()
      return true
    } catch (error) {
      notices.tell((error as Error).message, { tone: 'bad' })
      return false
    }
  }

  const makeKey = () =>
    change(async () => {
      key.value = (await shelfApi.makeKey()).key
      told.value = true
    })
  /** Opens the shelf of a key; what is wrong with the key, or nothing. */
  async function recover(typed: string): Promise<string> {
    try {
      await shelfApi.recover(typed)
      await load()
      return ''
    } catch (error) {
      return (error as Error).message
    }
  }
  const restore = (entry: BinEntry) => change(() => shelfApi.restore(entry))
  const empty = () => change(() => shelfApi.emptyBin())

  return {
    workspace,
    bin,
    key,
    fault,
    ready,
    told,
    asksForKey,
    load,
    makeKey,
    recover,
    restore,
    empty,
  }
})
