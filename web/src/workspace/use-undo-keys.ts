import { useEventListener } from '@vueuse/core'
import { useDesign } from './design-store.ts'

/** Undo and redo by the keys every program has for them, on any page of an opened basin. */
export function useUndoKeys(): void {
  const store = useDesign()
  useEventListener(window, 'keydown', (event) => {
    if (!event.ctrlKey && !event.metaKey) return
    const key = event.key.toLowerCase()
    const back = key === 'z' && !event.shiftKey
    const forth = key === 'y' || (key === 'z' && event.shiftKey)
    if (event.altKey || (!back && !forth)) return
    event.preventDefault()
    void (back ? store.undo() : store.redo())
  })
}
