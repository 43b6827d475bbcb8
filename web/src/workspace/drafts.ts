import type { BasinDesign } from '@yew-basin/core'
import { ref, toRaw } from 'vue'
import { draftStore, type DraftStore, type StoredDraft } from '../keep/draft-store.ts'
import { openTabs, thisTab } from '../keep/tab.ts'

/** A draft as the saves know it. */
export type Draft = Pick<StoredDraft, 'revision' | 'design' | 'sent' | 'at'>

/** Where no browser tells which tabs are open: left alone this long, a draft belongs to a tab that is gone. */
const ABANDONED_MS = 15_000

/** nothing: there is nothing to keep. keeping: on its way. kept: it truly is. lost: this browser keeps nothing. */
export type KeptState = 'nothing' | 'keeping' | 'kept' | 'lost'

/** What a page needs to keep drafts; given in tests. */
export interface Keeping {
  readonly store: Promise<DraftStore>
  readonly tab: Promise<string>
  readonly tabs: () => Promise<ReadonlySet<string> | null>
}

const here = (): Keeping => ({ store: draftStore(), tab: thisTab(), tabs: openTabs })

/** The drafts of one design: one a tab and revision, so that two tabs never write over each other. */
export class Drafts {
  readonly state = ref<KeptState>('nothing')
  readonly #designId: string
  readonly #keeping: Keeping
  /** The newest to be kept; those before it that were not written yet need not be. */
  #wanted: Draft | null = null
  #writing: Promise<void> | null = null

  constructor(designId: string, keeping: Keeping = here()) {
    this.#designId = designId
    this.#keeping = keeping
  }

  keep(draft: Draft): void {
    this.#wanted = draft
    this.state.value = 'keeping'
    this.#write()
  }

  drop(): void {
    this.#wanted = null
    this.state.value = 'nothing'
    this.#write()
  }

  /** Resolves when what was asked last is done. */
  async settled(): Promise<void> {
    while (this.#writing) await this.#writing
  }

  /** This tab's draft, else the newest that a closed tab left behind; it becomes this tab's. */
  async take(now: number): Promise<Draft | null> {
    const [tab, all] = await Promise.all([this.#keeping.tab, this.#all()])
    const newest = (drafts: readonly StoredDraft[]) => [...drafts].sort((a, b) => b.at - a.at)[0]
    const own = newest(all.filter((draft) => draft.tab === tab))
    if (own) {
      this.state.value = 'kept'
      return own
    }
    const open = await this.#keeping.tabs()
    const left = newest(
      all.filter((draft) => (open ? !open.has(draft.tab) : now - draft.at > ABANDONED_MS)),
    )
    if (!left) return null
    const taken = { ...left, tab, at: now }
    await (await this.#keeping.store).put(taken, [left])
    this.state.value = 'kept'
    return taken
  }

  #write(): void {
    this.#writing ??= this.#writeAll().finally(() => (this.#writing = null))
  }

  /** Until what is wanted is what is kept. */
  async #writeAll(): Promise<void> {
    let done: Draft | null | undefined
    while (done !== this.#wanted) {
      done = this.#wanted
      try {
        await this.#writeOne(done)
        if (done === this.#wanted && done) this.state.value = 'kept'
      } catch {
        if (done === this.#wanted && done) this.state.value = 'lost'
      }
    }
  }

  async #writeOne(draft: Draft | null): Promise<void> {
    const [store, tab] = await Promise.all([this.#keeping.store, this.#keeping.tab])
    const own = (await this.#all()).filter((stored) => stored.tab === tab)
    if (!draft) return store.remove(own)
    const { revision, design, sent, at } = draft
    const plain = { design: raw(design), sent: sent && raw(sent) }
    await store.put({ designId: this.#designId, tab, revision, at, ...plain }, own)
  }

  async #all(): Promise<readonly StoredDraft[]> {
    return (await this.#keeping.store).ofDesign(this.#designId)
  }
}

/** Without Vue's wrapping, which no store can copy. */
const raw = (design: BasinDesign): BasinDesign => toRaw(design)
