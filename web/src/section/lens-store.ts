import { defineStore } from 'pinia'
import { reactive } from 'vue'
import { type Lens, WHOLE } from './lens.ts'
import type { SheetView } from './scale.ts'

/** How each sheet of a basin was looked at last: going back finds it so. */
export const useLenses = defineStore('lenses', () => {
  const kept = reactive(new Map<string, Lens>())
  const keyOf = (basinId: string, view: SheetView) => `${basinId} ${view}`
  const of = (basinId: string, view: SheetView): Lens => kept.get(keyOf(basinId, view)) ?? WHOLE
  const keep = (basinId: string, view: SheetView, lens: Lens) =>
    kept.set(keyOf(basinId, view), lens)
  return { of, keep }
})
