import { defineStore } from 'pinia'
import { ref } from 'vue'
import { type Phase, phaseOf, WAY, viewPathOf } from './phases.ts'

/** Where a keeper was last in a basin: the stop of the water's way, and the view of each phase. */
interface Left {
  readonly stop: string
  readonly views: Readonly<Partial<Record<Phase['id'], string>>>
}

const NOWHERE: Left = { stop: WAY, views: {} }

/** Views are come back to as they were left. */
export const useLastPlaces = defineStore('last-places', () => {
  const left = ref<Readonly<Record<string, Left>>>({})
  const of = (basinId: string) => left.value[basinId] ?? NOWHERE

  /** A keeper came to a place under a basin's address. */
  function came(basinId: string, place: string): void {
    const before = of(basinId)
    const path = viewPathOf(place)
    left.value = {
      ...left.value,
      [basinId]: {
        stop: path === WAY ? place : before.stop,
        views: { ...before.views, [phaseOf(place).id]: path },
      },
    }
  }

  /** The address of a view, the water's way at the stop it was left at. */
  function toView(basinId: string, path: string): string {
    const place = path === WAY ? of(basinId).stop : path
    return place === WAY ? `/basins/${basinId}` : `/basins/${basinId}/${place}`
  }

  /** The address of a phase, at the view it was left at. */
  function toPhase(basinId: string, { id, views }: Phase): string {
    return toView(basinId, of(basinId).views[id] ?? views[0]!.path)
  }

  return { came, toView, toPhase }
})
