import { useEventListener } from '@vueuse/core'
import { computed, onMounted, watch } from 'vue'
import { useShopping } from './shopping-store.ts'

/** What is ticked of a basin, kept here without a network and sent when it is back, whichever list is open. */
export function useTicks(basinId: () => string) {
  const shopping = useShopping()
  onMounted(() => void shopping.open(basinId()))
  watch(basinId, (next) => void shopping.open(next))
  useEventListener(window, 'online', () => void shopping.send())
  useEventListener(window, 'focus', () => void shopping.send())
  /** Where ticks are that did not come home yet; empty: all are there. */
  const stateWords = computed(() => {
    const count = shopping.waiting
    if (shopping.fault) return `Not taken: ${shopping.fault}`
    if (count === 0) return shopping.state === 'away' ? 'No network: ticks are kept here.' : ''
    const changes = `${count} ${count === 1 ? 'change' : 'changes'}`
    return shopping.state === 'away'
      ? `No network: ${changes} kept on this device, sent when it is back.`
      : `${changes} on the way.`
  })
  return { shopping, stateWords }
}
