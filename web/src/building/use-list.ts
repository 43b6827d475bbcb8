import { building } from '@yew-basin/core'
import { computed } from 'vue'
import { useShopping } from './shopping-store.ts'

/** Every line of the list with what is had, what is still to buy of it, and what that costs. */
export function useList(sheet: () => building.BuildSheet | null) {
  const shopping = useShopping()
  return computed(() => {
    const made = sheet()
    return (made?.list ?? []).map((line) => {
      const { have, price } = shopping.of(line.key)
      const toBuy = building.toBuy(line, have, made!)
      return { line, have, price, toBuy, cost: building.costOf(line, toBuy, price) }
    })
  })
}
