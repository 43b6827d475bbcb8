import { computed, ref } from 'vue'

/** So many stand beside each other in a bench before a column is too narrow to be read. */
const MOST = 3

/** Which parts of a list stand side by side: those that are ticked, the first ticked gives way. */
export function useBeside() {
  const ticked = ref<readonly string[]>([])
  const isTicked = (id: string) => ticked.value.includes(id)
  function tick(id: string): void {
    ticked.value = isTicked(id)
      ? ticked.value.filter((other) => other !== id)
      : [...ticked.value, id].slice(-MOST)
  }
  const isOpen = computed(() => ticked.value.length > 1)
  return { ticked, isTicked, tick, isOpen }
}
