import { computed } from 'vue'
import { useDesign } from '../workspace/design-store.ts'

/** Lights pieces up in the drawing beside, or puts them out again. */
export function useLight(pieceIds: () => readonly string[]) {
  const store = useDesign()
  const isLit = computed(() => {
    const ids = pieceIds()
    return ids.length > 0 && store.litPieces.join() === ids.join()
  })
  function light(): void {
    // What a pointer chose would stand before it.
    store.selectedPieceId = null
    store.litPieces = isLit.value ? [] : pieceIds()
  }
  return { isLit, light }
}

/** Is what is chosen in a drawing one of these pieces? */
export function useMarked(pieceIds: () => readonly string[]) {
  const store = useDesign()
  return computed(() => pieceIds().some((id) => store.marked.has(id)))
}
