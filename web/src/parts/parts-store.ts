import type { PartAnswer, PartKind } from '@yew-basin/contract'
import type { DevicePart, editing } from '@yew-basin/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { partsApi } from '../api/basins.ts'
import { isDevice, type PartDraft } from './part-words.ts'

/** The sample library and the keeper's own parts. */
export const useParts = defineStore('parts', () => {
  const parts = shallowRef<readonly PartAnswer[]>([])
  const fault = ref('')
  const ready = ref(false)
  /** The keeper's own first, then the library's, small to large; what is taken into a design says from where. */
  const kept = computed((): editing.KeptParts => {
    const called = ({ id, name }: PartAnswer) => ({ id, name })
    return {
      pumps: parts.value.flatMap((part) =>
        part.kind === 'pump' ? [{ ...part.spec, ...called(part), partId: part.id }] : [],
      ),
      devices: parts.value.flatMap((part) =>
        isDevice(part.kind) ? [{ ...(part.spec as DevicePart), ...called(part) }] : [],
      ),
      circulation: parts.value.flatMap((part) =>
        part.kind === 'circulation' ? [{ ...part.spec, ...called(part) }] : [],
      ),
    }
  })
  const pumps = computed(() => kept.value.pumps)

  /** Counts what was kept, removed or put back here: an answer that was under way meanwhile does not know of it. */
  let changes = 0
  async function load(): Promise<void> {
    const asOf = changes
    try {
      const answer = await partsApi.all()
      if (changes !== asOf) return await load()
      parts.value = answer.parts
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
    { id, revision }: Pick<PartDraft, 'id' | 'revision'>,
    sent: { readonly kind: PartKind; readonly name: string; readonly spec: object },
  ): Promise<PartAnswer> {
    const kept = await (id === null ? partsApi.keep(sent) : partsApi.change(id, revision, sent))
    put(kept)
    return kept
  }

  /** Into the bin. */
  async function remove({ id, revision }: PartAnswer): Promise<void> {
    await partsApi.remove(id, revision)
    changes += 1
    parts.value = parts.value.filter((part) => part.id !== id)
  }

  /** Out of the bin. */
  async function restore(id: string): Promise<void> {
    put(await partsApi.restore(id))
  }

  /** Back to what it was before its last change; that change stays in its history. */
  async function undo({ id, revision }: PartAnswer): Promise<void> {
    const { entries } = await partsApi.history(id)
    const before = entries[0]
    if (!before) return
    const { kind, name, spec } = before.content as Pick<PartAnswer, 'kind' | 'name' | 'spec'>
    put(await partsApi.change(id, revision, { kind, name, spec }))
  }

  /** What the server has now takes the place of what stands here, or comes first. */
  function put(part: PartAnswer): void {
    changes += 1
    const known = parts.value.some(({ id }) => id === part.id)
    parts.value = known
      ? parts.value.map((other) => (other.id === part.id ? part : other))
      : [part, ...parts.value]
  }

  return { parts, kept, pumps, fault, ready, load, want, keep, remove, restore, undo, put }
})
