import { shelfFigures } from '@yew-basin/core'
import { until } from '@vueuse/core'
import { watch } from 'vue'
import { onBeforeRouteLeave } from 'vue-router'
import { useShelf } from '../shelf/shelf-store.ts'
import { useDesign } from './design-store.ts'

/** Long enough for a save on loopback; a lost connection does not hold the keeper here. */
const LEAVE_MS = 1500
/** A disk or a network that takes longer than this is said to keep nothing. */
const KEEP_MS = 8000
const LOSES =
  'This design is not saved, and this browser keeps nothing: leaving now loses your last changes. Leave?'

/** Opens a basin for a view, names the page after it, and saves before the view is left. */
export function useBasin(id: () => string, view = ''): ReturnType<typeof useDesign> {
  const store = useDesign()
  const shelf = useShelf()
  watch(
    id,
    (now) => {
      // A view that was reached from another one of the same basin continues with what is open.
      if (store.continues === now && store.basin?.id === now && store.loadState === 'ready') return
      void store.leave()
      void store.open(now)
    },
    { immediate: true },
  )
  watch(
    () => store.basin?.name,
    (name) => {
      document.title = [view, name, 'Yew Basin'].filter(Boolean).join(' · ')
    },
    { immediate: true },
  )
  onBeforeRouteLeave(async (to) => {
    store.continues = to.params.id === id() ? id() : null
    await Promise.race([store.leave(), new Promise<void>((go) => setTimeout(go, LEAVE_MS))])
    if (store.saveState === 'saved' && store.solved && !store.preview)
      shelf.leftBasin(id(), store.savedAt, shelfFigures(store.solved))
    if (store.continues !== null) return true
    await until(() => store.wouldLose && store.isUnderWay).toBe(false, { timeout: KEEP_MS })
    return !store.wouldLose || window.confirm(LOSES)
  })
  return store
}
