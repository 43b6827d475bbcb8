import { useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'

/** Who ticks on this device: a name typed once; none is allowed. */
export const useTicker = defineStore('ticker', () => ({ name: useStorage('yew.ticker', '') }))

/** A tick that is set or taken away, with when and who. */
export const tickOf = (event: Event, name: string) => {
  const { checked } = event.target as HTMLInputElement
  return {
    tickedAt: checked ? new Date().toISOString() : null,
    tickedBy: checked ? name || null : null,
  }
}

/** "Ash, 28/11/26, 09:12"; empty: not ticked. */
export function whoAndWhen({
  tickedAt,
  tickedBy,
}: {
  readonly tickedAt: string | null
  readonly tickedBy: string | null
}): string {
  if (!tickedAt) return ''
  const at = new Date(tickedAt).toLocaleString([], { dateStyle: 'short', timeStyle: 'short' })
  return tickedBy ? `${tickedBy}, ${at}` : at
}
