import type { PartAnswer } from '@yew-basin/contract'
import { StorageSerializers, useSessionStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { PartDraft } from './part-words.ts'

interface Held {
  /** Which one is on the screen; null: none. */
  readonly open: string | null
  readonly drafts: Readonly<Record<string, PartDraft>>
}

const keyOf = ({ id, of, kind }: PartDraft) => id ?? (of ? `copy of ${of}` : `new ${kind}`)
const isSame = (one: PartDraft, other: PartDraft) =>
  one.name === other.name && JSON.stringify(one.spec) === JSON.stringify(other.spec)

/** Parts while they are being changed: a half-typed one outlives its view, and a reload of the page. */
export const usePartDrafts = defineStore('part-drafts', () => {
  const held = useSessionStorage<Held>(
    'yew.part-drafts',
    { open: null, drafts: {} },
    {
      serializer: StorageSerializers.object,
    },
  )
  const draft = computed(() =>
    held.value.open ? (held.value.drafts[held.value.open] ?? null) : null,
  )

  /** Begins on a part; one that was begun and left is continued. True: it was. */
  function begin(fresh: PartDraft): boolean {
    const key = keyOf(fresh)
    const there = held.value.drafts[key]
    held.value = { open: key, drafts: { ...held.value.drafts, [key]: there ?? fresh } }
    return there !== undefined && !isSame(there, fresh)
  }

  /** As it is typed. */
  function change(part: Partial<Pick<PartDraft, 'name' | 'spec' | 'revision'>>): void {
    const { open, drafts } = held.value
    const now = open ? drafts[open] : undefined
    if (open && now) held.value = { open, drafts: { ...drafts, [open]: { ...now, ...part } } }
  }

  /** Kept, or left for good. */
  function end(): void {
    const { open, drafts } = held.value
    const others = Object.fromEntries(Object.entries(drafts).filter(([key]) => key !== open))
    held.value = { open: null, drafts: others }
  }

  const beginFrom = ({ id, kind, name, spec, revision }: PartAnswer) =>
    begin({ id, kind, name, spec, revision })

  return { draft, begin, beginFrom, change, end }
})
