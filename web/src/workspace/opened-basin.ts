import type { BasinAnswer } from '@yew-basin/contract'
import { FILE_FORMAT, FORMAT_VERSION } from '@yew-basin/contract/format'
import type { BasinDesign } from '@yew-basin/core'
import { ref, shallowRef } from 'vue'
import { basinsApi } from '../api/basins.ts'
import { Refused } from '../api/client.ts'

/** Which basin is open, and how opening it went. */
export function useOpenedBasin() {
  const basin = shallowRef<BasinAnswer | null>(null)
  const loadState = ref<'loading' | 'ready' | 'missing' | 'failed'>('loading')
  const loadFault = ref('')

  async function fetchBasin(id: string): Promise<BasinAnswer | null> {
    loadState.value = 'loading'
    try {
      basin.value = await basinsApi.open(id)
      return basin.value
    } catch (error) {
      loadFault.value = (error as Error).message
      const missing = error instanceof Refused && error.problem.code === 'not-found'
      loadState.value = missing ? 'missing' : 'failed'
      return null
    }
  }

  /** A design of this basin as an exportable file, for when the server cannot have it. */
  function asFile(name: string, design: BasinDesign) {
    return {
      format: FILE_FORMAT,
      formatVersion: FORMAT_VERSION,
      name,
      note: basin.value?.note ?? '',
      designs: [{ name: basin.value?.current.name ?? 'design', current: true, design }],
    }
  }

  return { basin, loadState, loadFault, fetchBasin, asFile }
}
