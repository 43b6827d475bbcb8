import type { PartAnswer, PartKind } from '@yew-basin/contract'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { partsApi } from '../api/basins.ts'

/** The sample library and the keeper's own parts. */
export const useParts = defineStore('parts', () => {
  const parts = shallowRef<readonly PartAnswer[]>([])
  const fault = ref('')
  const ready = ref(false)
  /** The keeper's own first, then the library's, small to large. */
  const pumps = computed(() =>
    parts.value.flatMap((part) => (part.kind === 'pump' ? [part.spec] : [])),
  )

  async function load(): Promise<void> {
    try {
      parts.value = (await partsApi.all()).parts
      ready.value = true
      fault.value = ''
    } catch (error) {
      fault.value = (error as Error).message
    }
  }

  /** Fetched once, by the first view that wants them. */
  async function want(): Promise<void> {
    if (!ready.value) await load()
  }

  /** Keeps a new part, or changes one of the keeper's own. Gives what is kept; throws what the server says. */
  async function keep(
    id: string | null,
    kind: PartKind,
    name: string,
    spec: object,
  ): Promise<PartAnswer> {
    const kept = await (id === null
      ? partsApi.keep({ kind, name, spec })
      : partsApi.change(id, { kind, name, spec }))
    parts.value =
      id === null
        ? [kept, ...parts.value]
        : parts.value.map((part) => (part.id === id ? kept : part))
    return kept
  }

  async function remove(id: string): Promise<void> {
    await partsApi.remove(id)
    parts.value = parts.value.filter((part) => part.id !== id)
  }

  return { parts, pumps, fault, ready, load, want, keep, remove }
})
