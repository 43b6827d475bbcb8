import type { Point } from '@yew-basin/core'
import { computed } from 'vue'
import type { SheetView } from './scale.ts'

/** Where a handle is dragged to, m: across, and up the sheet. */
export interface Wanted {
  readonly across: number
  readonly up: number
}

/** Places of handles on a sheet: across is the room's length in both; up is its height, or its depth in plan. */
export function useGripPlaces(view: () => SheetView) {
  const up = computed((): 'yM' | 'zM' => (view() === 'plan' ? 'yM' : 'zM'))
  return {
    placeOf: (point: Point): Wanted => ({ across: point.xM, up: point[up.value] }),
    /** How far that is from where something is. */
    wayTo: (to: Wanted, from: Point): Point => ({
      xM: to.across - from.xM,
      yM: 0,
      zM: 0,
      [up.value]: to.up - from[up.value],
    }),
    /** The two lengths of a point that a handle sets. */
    lengthsOf: (to: Wanted) => [['xM', to.across] as const, [up.value, to.up] as const] as const,
  }
}
