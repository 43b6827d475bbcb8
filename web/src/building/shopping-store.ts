import type { ShoppingAnswer, ShoppingEntry } from '@yew-basin/contract'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { shoppingApi } from '../api/basins.ts'
import { Refused } from '../api/client.ts'

/** What is known of a line that nothing was said of. */
/** So many changes go in one request; the rest follows. */
const MOST_AT_ONCE = 300
const NOTHING = { have: null, price: null, tickedAt: null, tickedBy: null } as const

/** What was changed here and has not come home yet: kept in this browser, so that a shop without a network loses nothing. */
const keyOf = (basinId: string) => `yew.shopping.${basinId}`

interface Kept {
  readonly known: readonly ShoppingEntry[]
  readonly pending: readonly ShoppingEntry[]
}

function read(basinId: string): Kept {
  try {
    const text = localStorage.getItem(keyOf(basinId))
    if (text) return JSON.parse(text) as Kept
  } catch {
    // Storage that is forbidden or torn keeps nothing; the server does.
  }
  return { known: [], pending: [] }
}

/** How it stands with what was changed. */
export type ShoppingState = 'home' | 'sending' | 'away'

/** What a keeper has of the list of a basin, what it costs him, and what he ticked; here first, then at home. */
export const useShopping = defineStore('shopping', () => {
  const basinId = ref('')
  const known = ref<ReadonlyMap<string, ShoppingEntry>>(new Map())
  const pending = ref<ReadonlyMap<string, ShoppingEntry>>(new Map())
  const state = ref<ShoppingState>('home')
  /** The server refused what was sent, and why. */
  const fault = ref('')
  const byKey = (entries: readonly ShoppingEntry[]) => new Map(entries.map((e) => [e.key, e]))

  const of = (key: string): Omit<ShoppingEntry, 'key' | 'changedAt'> =>
    pending.value.get(key) ?? known.value.get(key) ?? NOTHING

  function keep(): void {
    try {
      const kept: Kept = { known: [...known.value.values()], pending: [...pending.value.values()] }
      localStorage.setItem(keyOf(basinId.value), JSON.stringify(kept))
    } catch {
      // It is sent all the same, as long as this page is open.
    }
  }

  /** Opens a basin's list: what this browser knows at once, then what the server does. */
  async function open(id: string): Promise<void> {
    if (basinId.value !== id) {
      basinId.value = id
      const kept = read(id)
      known.value = byKey(kept.known)
      pending.value = byKey(kept.pending)
      fault.value = ''
    }
    await send()
  }

  function take(answer: ShoppingAnswer, sent: readonly ShoppingEntry[]): void {
    known.value = byKey(answer.entries)
    // What was changed again meanwhile is still to be sent.
    const left = [...pending.value.values()].filter(
      (entry) =>
        !sent.some((other) => other.key === entry.key && other.changedAt === entry.changedAt),
    )
    pending.value = byKey(left)
    keep()
  }

  /** Sends what is pending, or asks what is known; away, it is tried again later. */
  async function send(): Promise<void> {
    const id = basinId.value
    if (!id || state.value === 'sending') return
    const sent = [...pending.value.values()].slice(0, MOST_AT_ONCE)
    state.value = 'sending'
    try {
      const answer =
        sent.length > 0 ? await shoppingApi.merge(id, sent) : await shoppingApi.read(id)
      if (id === basinId.value) take(answer, sent)
      state.value = 'home'
      fault.value = ''
    } catch (error) {
      state.value = 'away'
      if (error instanceof Refused) fault.value = error.message
    }
    // Changed meanwhile, or another basin was opened.
    if (id !== basinId.value || (state.value === 'home' && pending.value.size > 0)) await send()
  }

  /** Changes lines of the list, at once. */
  function change(changes: ReadonlyMap<string, Partial<Omit<ShoppingEntry, 'key' | 'changedAt'>>>) {
    const changedAt = new Date().toISOString()
    const next = new Map(pending.value)
    for (const [key, more] of changes) next.set(key, { key, ...of(key), ...more, changedAt })
    pending.value = next
    keep()
    void send()
  }

  const set = (key: string, more: Partial<Omit<ShoppingEntry, 'key' | 'changedAt'>>) =>
    change(new Map([[key, more]]))

  return {
    open,
    send,
    of,
    set,
    change,
    state,
    fault,
    waiting: computed(() => pending.value.size),
  }
})
