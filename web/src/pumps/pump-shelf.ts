import type { PumpPart } from '@yew-basin/core'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { pumpsApi } from '../api/basins.ts'

/** The library's pumps and the keeper's own, fetched once. */
export const usePumpShelf = defineStore('pump-shelf', () => {
  const pumps = shallowRef<readonly PumpPart[]>([])
  const fault = ref('')

  async function load(): Promise<void> {
    if (pumps.value.length > 0) return
    try {
      pumps.value = (await pumpsApi.all()).pumps
      fault.value = ''
    } catch (error) {
      fault.value = (error as Error).message
    }
  }

  /** What is known here is old: the next view that needs it asks again. */
  function stale(): void {
    pumps.value = []
  }

  return { pumps, fault, load, stale }
})
