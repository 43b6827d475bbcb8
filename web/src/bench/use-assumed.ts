import type { EditPath } from '@yew-basin/core'
import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'

/** Is what a field shows assumed, and confirmed as it stands; a field without a place in the design never is. */
export function useAssumed(at: () => EditPath | null) {
  const isAssumed = computed(() => {
    const path = at()
    return path !== null && useDesign().isAssumed(path)
  })
  function confirm(): void {
    const path = at()
    if (path !== null && isAssumed.value) useDesign().confirmAt(path)
  }
  return { isAssumed, confirm }
}
