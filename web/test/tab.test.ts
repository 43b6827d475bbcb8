import { beforeEach, describe, expect, test } from '@jest/globals'
import { nameTab, openTabs, type TabLocks } from '../src/keep/tab.ts'

/** A browser's locks, shared by all of its pages. */
function someLocks() {
  const held = new Set<string>()
  const request = async (
    name: string,
    _how: unknown,
    use: (lock: { name: string } | null) => unknown,
  ) => {
    if (held.has(name)) return use(null)
    held.add(name)
    await use({ name })
    held.delete(name)
  }
  const query = async () => ({ held: [...held].map((name) => ({ name })), pending: [] })
  return { held, locks: { request, query } as unknown as TabLocks }
}
/** A tab's own storage, of which a duplicate gets a copy. */
function aStorage(from: Record<string, string> = {}) {
  const entries = { ...from }
  return {
    entries,
    getItem: (key: string) => entries[key] ?? null,
    setItem: (key: string, value: string) => void (entries[key] = value),
  } as unknown as Storage & { entries: Record<string, string> }
}

describe('a tab', () => {
  let browser: ReturnType<typeof someLocks>
  beforeEach(() => {
    browser = someLocks()
  })

  test('keeps its name over a reload', async () => {
    const storage = aStorage()
    const name = await nameTab(storage, browser.locks)
    browser.held.clear()
    expect(await nameTab(storage, browser.locks)).toBe(name)
  })
  test('that was duplicated knows that it is the copy, and the first keeps its name', async () => {
    const first = aStorage()
    const name = await nameTab(first, browser.locks)
    const copy = aStorage(first.entries)
    const other = await nameTab(copy, browser.locks)
    expect(other).not.toBe(name)
    expect(copy.entries['yew.tab']).toBe(other)
    expect(first.entries['yew.tab']).toBe(name)
    expect(await openTabs(browser.locks)).toEqual(new Set([name, other]))
  })
  test('without locks keeps the name it finds, and nobody knows which are open', async () => {
    const storage = aStorage({ 'yew.tab': 'known' })
    expect(await nameTab(storage, undefined)).toBe('known')
    expect(await openTabs(undefined)).toBeNull()
  })
  test('whose storage is forbidden has a name as long as the page lives', async () => {
    const forbidden = {
      getItem: () => {
        throw new DOMException('no')
      },
      setItem: () => {
        throw new DOMException('no')
      },
    } as unknown as Storage
    expect(await nameTab(forbidden, browser.locks)).toMatch(/^[0-9a-f-]{36}$/)
  })
})
