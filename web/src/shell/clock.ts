import { useNow } from '@vueuse/core'
import { computed, type ComputedRef } from 'vue'

/** "21:34", on a 24-hour clock. */
export function clockTime(iso: string): string {
  return new Date(iso).toLocaleTimeString([], {
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  })
}

/** A day where the keeper is, as 2026-11-29. */
export function dayOf(time: Date): string {
  const two = (number: number) => String(number).padStart(2, '0')
  return `${time.getFullYear()}-${two(time.getMonth() + 1)}-${two(time.getDate())}`
}

const MINUTE_MS = 60_000

/** Today, where the keeper is; a page that is left open overnight comes to the next day. */
export function useToday(): ComputedRef<string> {
  const now = useNow({ interval: MINUTE_MS })
  return computed(() => dayOf(now.value))
}
