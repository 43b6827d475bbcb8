import type { BasinDesign } from '@yew-basin/core'
import { openDB, type DBSchema, type IDBPDatabase } from 'idb'

/** Work that has not reached the server yet, as a tab left it. */
export interface StoredDraft {
  readonly designId: string
  readonly tab: string
  readonly revision: number
  readonly design: BasinDesign
  /** What was on its way to the server meanwhile; it arrives even when the page is left. */
  readonly sent: BasinDesign | null
  readonly at: number
}

/** Where drafts are kept. What it answers has happened: a put that resolves survives the browser's end. */
export interface DraftStore {
  readonly put: (draft: StoredDraft, instead: readonly StoredDraft[]) => Promise<void>
  readonly remove: (drafts: readonly StoredDraft[]) => Promise<void>
  readonly ofDesign: (designId: string) => Promise<readonly StoredDraft[]>
}

interface Schema extends DBSchema {
  drafts: {
    key: [string, string, number]
    value: StoredDraft
    indexes: { designId: string }
  }
}

type Key = [string, string, number]
const keyOf = ({ designId, tab, revision }: StoredDraft): Key => [designId, tab, revision]

/** IndexedDB: a draft and what it replaces in one transaction, written through to the disk. */
class IndexedDrafts implements DraftStore {
  readonly #db: IDBPDatabase<Schema>

  constructor(db: IDBPDatabase<Schema>) {
    this.#db = db
  }

  async put(draft: StoredDraft, instead: readonly StoredDraft[]): Promise<void> {
    const change = this.#db.transaction('drafts', 'readwrite', { durability: 'strict' })
    const own = keyOf(draft).join()
    await Promise.all([
      change.store.put(draft),
      ...instead
        .map(keyOf)
        .filter((key) => key.join() !== own)
        .map((key) => change.store.delete(key)),
      change.done,
    ])
  }

  async remove(drafts: readonly StoredDraft[]): Promise<void> {
    const change = this.#db.transaction('drafts', 'readwrite')
    await Promise.all([...drafts.map((draft) => change.store.delete(keyOf(draft))), change.done])
  }

  ofDesign(designId: string): Promise<readonly StoredDraft[]> {
    return this.#db.getAllFromIndex('drafts', 'designId', designId)
  }
}

const PREFIX = 'yew.draft.'

/** The smaller store, where the other is forbidden or broken; also what an older version kept its drafts in. */
export class LocalDrafts implements DraftStore {
  async put(draft: StoredDraft, instead: readonly StoredDraft[]): Promise<void> {
    localStorage.setItem(this.#key(draft), JSON.stringify(draft))
    const others = instead.filter((other) => this.#key(other) !== this.#key(draft))
    await this.remove(others)
  }

  async remove(drafts: readonly StoredDraft[]): Promise<void> {
    for (const draft of drafts) localStorage.removeItem(this.#key(draft))
  }

  async ofDesign(designId: string): Promise<readonly StoredDraft[]> {
    const prefix = `${PREFIX}${designId}.`
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(prefix))
      .flatMap((key) => readDraft(designId, key.slice(prefix.length), localStorage.getItem(key)))
  }

  #key({ designId, tab }: StoredDraft): string {
    return `${PREFIX}${designId}.${tab}`
  }
}

function readDraft(designId: string, tab: string, text: string | null): StoredDraft[] {
  try {
    const draft = JSON.parse(text ?? 'null') as Partial<StoredDraft> | null
    const whole =
      typeof draft?.revision === 'number' && typeof draft.at === 'number' && draft.design
    return whole ? [{ ...(draft as StoredDraft), designId, tab, sent: draft.sent ?? null }] : []
  } catch {
    return []
  }
}

/** Both: drafts go into the first that takes them, and are looked for in each. */
class EitherDrafts implements DraftStore {
  readonly #stores: readonly DraftStore[]

  constructor(stores: readonly DraftStore[]) {
    this.#stores = stores
  }

  async put(draft: StoredDraft, instead: readonly StoredDraft[]): Promise<void> {
    let fault: unknown = new Error('this browser keeps nothing')
    for (const [i, store] of this.#stores.entries()) {
      try {
        await store.put(draft, instead)
        const others = this.#stores.filter((_, j) => j !== i)
        await Promise.allSettled(others.map((other) => other.remove([draft, ...instead])))
        return
      } catch (error) {
        fault = error
      }
    }
    throw fault
  }

  async remove(drafts: readonly StoredDraft[]): Promise<void> {
    await Promise.allSettled(this.#stores.map((store) => store.remove(drafts)))
  }

  async ofDesign(designId: string): Promise<readonly StoredDraft[]> {
    const found = await Promise.allSettled(this.#stores.map((store) => store.ofDesign(designId)))
    return found.flatMap((answer) => (answer.status === 'fulfilled' ? answer.value : []))
  }
}

/** Opens what this browser has. */
export async function openDraftStore(): Promise<DraftStore> {
  const local = new LocalDrafts()
  try {
    const db = await openDB<Schema>('yew-basin', 1, {
      upgrade: (made) => {
        const drafts = made.createObjectStore('drafts', {
          keyPath: ['designId', 'tab', 'revision'],
        })
        drafts.createIndex('designId', 'designId')
      },
    })
    return new EitherDrafts([new IndexedDrafts(db), local])
  } catch {
    return new EitherDrafts([local])
  }
}

let opened: Promise<DraftStore> | null = null

/** The store, opened once a page. */
export function draftStore(): Promise<DraftStore> {
  return (opened ??= openDraftStore())
}
