import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, test } from '@jest/globals'
import type { BasinDesign } from '@yew-basin/core'
import { IDBFactory } from 'fake-indexeddb'
import { reactive } from 'vue'
import { openDraftStore, type DraftStore } from '../src/keep/draft-store.ts'
import { Drafts } from '../src/workspace/drafts.ts'

const draft = (n: number, at: number) => ({
  revision: n,
  design: { n } as unknown as BasinDesign,
  sent: null,
  at,
})

// What jsdom's window lacks of the browser's.
globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value)) as never

let store: Promise<DraftStore>
/** Tabs that are open now; null: the browser does not tell. */
let open: string[] | null
beforeEach(() => {
  localStorage.clear()
  globalThis.indexedDB = new IDBFactory()
  store = openDraftStore()
  open = null
})
const inTab = (tab: string, design = 'd', at: Promise<DraftStore> = store) =>
  new Drafts(design, {
    store: at,
    tab: Promise.resolve(tab),
    tabs: async () => open && new Set(open),
  })
async function kept(drafts: Drafts, what: ReturnType<typeof draft>): Promise<Drafts> {
  drafts.keep(what)
  await drafts.settled()
  return drafts
}

describe('drafts', () => {
  test('a tab finds its own after a reload, whatever its age', async () => {
    await kept(inTab('one'), draft(3, 1000))
    expect(await inTab('one').take(1001)).toMatchObject(draft(3, 1000))
  })
  test('another open tab’s is left alone; one that a closed tab left is taken over', async () => {
    open = ['one', 'two']
    await kept(inTab('one'), draft(3, 1000))
    const other = inTab('two')
    expect(await other.take(90_000)).toBeNull()
    open = ['two']
    expect(await other.take(90_000)).toMatchObject(draft(3, 90_000))
    expect(await inTab('one').take(90_001)).toBeNull()
  })
  test('where nobody tells which tabs are open, one left alone long enough is taken over', async () => {
    await kept(inTab('one'), draft(3, 1000))
    const other = inTab('two')
    expect(await other.take(2000)).toBeNull()
    expect(await other.take(60_000)).toMatchObject(draft(3, 60_000))
  })
  test('of several left behind the newest is taken, and the others stay', async () => {
    open = ['three']
    await kept(inTab('one'), draft(3, 1000))
    await kept(inTab('two'), draft(4, 2000))
    const third = inTab('three')
    expect(await third.take(90_000)).toMatchObject(draft(4, 90_000))
    third.drop()
    await third.settled()
    expect(await third.take(90_001)).toMatchObject(draft(3, 90_001))
  })
  test('another design’s, and one that is no draft, are none of ours', async () => {
    await kept(inTab('one', 'e'), draft(3, 1000))
    localStorage.setItem('yew.draft.d.x', '{"revision":')
    localStorage.setItem('yew.draft.d.y', '{"at":1}')
    expect(await inTab('two').take(90_000)).toBeNull()
  })
  test('what an older version left in the smaller store is found', async () => {
    localStorage.setItem('yew.draft.d.old', JSON.stringify(draft(7, 5)))
    expect(await inTab('new').take(90_000)).toMatchObject(draft(7, 90_000))
    expect(localStorage.getItem('yew.draft.d.old')).toBeNull()
  })
  test('is dropped once saved', async () => {
    const drafts = await kept(inTab('one'), draft(3, 1000))
    drafts.drop()
    await drafts.settled()
    expect(await inTab('one').take(1)).toBeNull()
  })
  test('of each keystroke the last is kept, and one of an older revision goes', async () => {
    const drafts = inTab('one')
    for (let n = 1; n <= 20; n++) drafts.keep(draft(3, n))
    drafts.keep(draft(4, 21))
    await drafts.settled()
    expect((await (await store).ofDesign('d')).map(({ revision, at }) => [revision, at])).toEqual([
      [4, 21],
    ])
  })
  test('a design that Vue watches is kept as plain data', async () => {
    const watched = { ...draft(3, 1), design: reactive({ n: 3 }) as unknown as BasinDesign }
    expect((await kept(inTab('one'), watched)).state.value).toBe('kept')
  })
})

describe('“kept” is said when it is', () => {
  test('and not before', async () => {
    const drafts = inTab('one')
    drafts.keep(draft(3, 1))
    expect(drafts.state.value).toBe('keeping')
    await drafts.settled()
    expect(drafts.state.value).toBe('kept')
    expect(await (await store).ofDesign('d')).toHaveLength(1)
  })
  test('without the larger store the smaller one keeps it', async () => {
    const forbidden = {
      open: () => {
        throw new DOMException('no', 'SecurityError')
      },
    }
    globalThis.indexedDB = forbidden as unknown as IDBFactory
    const drafts = await kept(inTab('one', 'd', openDraftStore()), draft(3, 1))
    expect(drafts.state.value).toBe('kept')
    expect(localStorage.getItem('yew.draft.d.one')).toContain('"revision":3')
  })
  test('when nothing keeps it, it says that it is lost, and tries again with the next change', async () => {
    let full = true
    const real = await store
    const sometimes: DraftStore = {
      ...real,
      ofDesign: (id) => real.ofDesign(id),
      remove: (gone) => real.remove(gone),
      put: async (one, instead) => {
        if (full) throw new DOMException('full', 'QuotaExceededError')
        return real.put(one, instead)
      },
    }
    const drafts = await kept(inTab('one', 'd', Promise.resolve(sometimes)), draft(3, 1))
    expect(drafts.state.value).toBe('lost')
    full = false
    await kept(drafts, draft(3, 2))
    expect(drafts.state.value).toBe('kept')
  })
})
