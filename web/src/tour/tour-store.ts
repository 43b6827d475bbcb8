import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { TOUR_STEPS } from './tour-steps.ts'

/** How far the tour is; it stays where it is while other views are looked at. */
export const useTour = defineStore('tour', () => {
  const at = ref<number | null>(null)
  const step = computed(() => (at.value === null ? null : TOUR_STEPS[at.value]!))
  const isLast = computed(() => at.value === TOUR_STEPS.length - 1)

  const begin = () => (at.value = 0)
  const leave = () => (at.value = null)
  function go(by: 1 | -1): void {
    if (at.value === null) return
    const next = at.value + by
    at.value = next >= TOUR_STEPS.length ? null : Math.max(0, next)
  }
  return { at, step, isLast, begin, leave, go }
})
