import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import type { DesignAnswer } from '@yew-basin/contract'
import type { BasinDesign } from '@yew-basin/core'
import { Autosave } from '../src/workspace/autosave.ts'

const design = (n: number) => ({ n }) as unknown as BasinDesign
const answer = (revision: number, of: BasinDesign): DesignAnswer => ({
  id: 'd',
  name: 'one',
  revision,
  savedAt: '2026-01-01T00:00:00Z',
  design: of,
})

interface Sent {
  readonly ifMatch: string
  readonly body: { design: BasinDesign }
}

/** A server that answers each save in turn, and remembers what it was sent. */
function aServer(...answers: (() => { status: number; body: unknown } | 'down')[]) {
  const sent: Sent[] = []
  const fetch = async (_path: string, init: RequestInit) => {
    const headers = init.headers as Record<string, string>
    sent.push({
      ifMatch: headers['If-Match']!,
      body: JSON.parse(init.body as string) as Sent['body'],
    })
    const next = (answers.shift() ?? answers.at(-1))?.() ?? 'down'
    if (next === 'down') throw new TypeError('failed to fetch')
    const type = next.status < 400 ? 'application/json' : 'application/problem+json'
    return {
      ok: next.status < 400,
      status: next.status,
      headers: {
        get: (name: string) =>
          name === 'Retry-After'
            ? ((next.body as { retryAfter?: number }).retryAfter ?? null)
            : type,
      },
      json: async () => next.body,
    }
  }
  globalThis.fetch = fetch as unknown as typeof globalThis.fetch
  return sent
}
const saves = (revision: number) => () => ({ status: 200, body: answer(revision, design(0)) })
const down = () => 'down' as const
const refuses =
  (code: string, more: object = {}) =>
  () => ({
    status: 400,
    body: { code, title: code, detail: code, ...more },
  })

/** What was asked of the browser's store has happened: no timer is part of it. */
async function written(): Promise<void> {
  for (let turn = 0; turn < 50; turn++) await Promise.resolve()
}

describe('autosave', () => {
  let now: BasinDesign
  let autosave: Autosave
  const change = (n: number) => {
    now = design(n)
    autosave.markDirty()
  }

  beforeEach(() => {
    jest.useFakeTimers()
    localStorage.clear()
    sessionStorage.setItem('yew.tab', 'this')
    localStorage.setItem('yew.known', 'yes')
    now = design(1)
    autosave = new Autosave(() => now)
    autosave.begin(answer(4, now))
  })
  afterEach(() => {
    jest.useRealTimers()
  })

  test('saves what is there after a pause, over the revision it knows', async () => {
    const sent = aServer(saves(5))
    change(2)
    change(3)
    expect(autosave.state.value).toBe('waiting')
    await jest.advanceTimersByTimeAsync(600)
    expect(autosave.state.value).toBe('saved')
    expect(sent).toEqual([{ ifMatch: '"4"', body: { design: { n: 3 } } }])
    expect(Object.keys(localStorage).filter((key) => key.startsWith('yew.draft'))).toEqual([])
  })
  test('what changes while a save is on its way goes out next, over the new revision', async () => {
    const sent = aServer(saves(5), saves(6))
    change(2)
    const first = autosave.save()
    change(3)
    await first
    expect(autosave.state.value).toBe('waiting')
    await jest.advanceTimersByTimeAsync(600)
    expect(sent.map((save) => save.ifMatch)).toEqual(['"4"', '"5"'])
    expect(autosave.state.value).toBe('saved')
  })
  test('an undo back to what is saved needs no save', async () => {
    const sent = aServer()
    const before = now
    change(2)
    now = before
    autosave.markDirty()
    await jest.advanceTimersByTimeAsync(5000)
    expect(autosave.state.value).toBe('saved')
    expect(sent).toEqual([])
  })
  test('without a server it keeps the work here and tries again, ever slower', async () => {
    const sent = aServer(down, down, saves(5))
    change(2)
    await jest.advanceTimersByTimeAsync(600)
    expect(autosave.state.value).toBe('offline')
    expect(Object.keys(localStorage)).toContain('yew.draft.d.this')
    await jest.advanceTimersByTimeAsync(1600)
    expect(sent).toHaveLength(2)
    await jest.advanceTimersByTimeAsync(1600)
    expect(sent).toHaveLength(2)
    await jest.advanceTimersByTimeAsync(1600)
    expect(autosave.state.value).toBe('saved')
  })
  test('what is kept is said, and whether leaving would lose it', async () => {
    aServer(down)
    expect([autosave.kept.value, autosave.wouldLose.value]).toEqual(['nothing', false])
    change(2)
    expect([autosave.kept.value, autosave.wouldLose.value]).toEqual(['keeping', true])
    await jest.advanceTimersByTimeAsync(600)
    expect([autosave.state.value, autosave.kept.value]).toEqual(['offline', 'kept'])
    expect(autosave.wouldLose.value).toBe(false)
  })
  test('where nothing can be kept, leaving would lose it until the server has it', async () => {
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    aServer(down, saves(5))
    change(2)
    await jest.advanceTimersByTimeAsync(600)
    expect([autosave.kept.value, autosave.wouldLose.value]).toEqual(['lost', true])
    await jest.advanceTimersByTimeAsync(1600)
    expect([autosave.state.value, autosave.wouldLose.value]).toEqual(['saved', false])
    full.mockRestore()
  })
  test('a fault of the server’s own is tried three times, then waits for the keeper', async () => {
    const fault = refuses('server-fault')
    const sent = aServer(fault, fault, fault, saves(5))
    change(2)
    await jest.advanceTimersByTimeAsync(60_000)
    expect([autosave.state.value, sent.length]).toEqual(['refused', 3])
    autosave.retryNow()
    await jest.advanceTimersByTimeAsync(10)
    expect(autosave.state.value).toBe('saved')
  })
  test('a server that asks to wait is not asked before', async () => {
    const sent = aServer(refuses('no-database', { retryAfter: 9 }), saves(5))
    change(2)
    await jest.advanceTimersByTimeAsync(9000)
    expect(sent).toHaveLength(1)
    await jest.advanceTimersByTimeAsync(1000)
    expect(autosave.state.value).toBe('saved')
  })
  test('a revision that moved is a conflict; keeping mine saves over theirs', async () => {
    const sent = aServer(refuses('revision-moved', { current: answer(7, design(9)) }), saves(8))
    change(2)
    await jest.advanceTimersByTimeAsync(600)
    expect(autosave.state.value).toBe('conflict')
    change(3)
    await jest.advanceTimersByTimeAsync(5000)
    expect(sent).toHaveLength(1)
    autosave.keepMine()
    await jest.advanceTimersByTimeAsync(0)
    expect(sent[1]).toMatchObject({ ifMatch: '"7"', body: { design: { n: 3 } } })
    expect(autosave.state.value).toBe('saved')
  })
  test('taking theirs settles on their revision', async () => {
    const sent = aServer(refuses('revision-moved', { current: answer(7, design(9)) }), saves(8))
    change(2)
    await jest.advanceTimersByTimeAsync(600)
    expect(autosave.takeTheirs()).toMatchObject({ revision: 7 })
    expect(autosave.takeTheirs()).toBeNull()
    change(4)
    await jest.advanceTimersByTimeAsync(600)
    expect(sent[1]!.ifMatch).toBe('"7"')
  })
  test.each([
    ['not-found', 'gone'],
    ['invalid', 'refused'],
    ['too-many', 'offline'],
    ['over-quota', 'refused'],
    ['too-large', 'refused'],
    ['no-database', 'offline'],
  ])('a server that says %s leaves it %s, with the work kept here', async (code, state) => {
    aServer(refuses(code, { faults: [{ path: 'design.tank', message: 'must be an object' }] }))
    change(2)
    await jest.advanceTimersByTimeAsync(600)
    expect(autosave.state.value).toBe(state)
    expect(Object.keys(localStorage)).toContain('yew.draft.d.this')
    if (code === 'invalid') expect(autosave.fault.value).toBe('design.tank must be an object')
    if (code === 'over-quota') expect(autosave.fault.value).toBe('over-quota')
  })
  test('left-over work is found again, and known for a conflict when the server moved on', async () => {
    change(2)
    await written()
    const same = new Autosave(() => now)
    same.begin(answer(4, design(1)))
    expect(await same.recovered(answer(4, design(1)))).toMatchObject({
      design: { n: 2 },
      moved: false,
    })
    const moved = new Autosave(() => now)
    moved.begin(answer(6, design(5)))
    expect(await moved.recovered(answer(6, design(5)))).toMatchObject({ moved: true })
    expect(moved.state.value).toBe('conflict')
  })
  test('what arrived as the page was left is nobody’s conflict', async () => {
    change(2)
    await written()
    const back = new Autosave(() => now)
    back.begin(answer(5, design(2)))
    expect(await back.recovered(answer(5, design(2)))).toBeNull()
    expect(back.state.value).toBe('saved')
    await written()
    expect(Object.keys(localStorage)).not.toContain('yew.draft.d.this')
  })
  test('what arrives only after the page came back is no conflict either', async () => {
    const sent = aServer(refuses('revision-moved', { current: answer(5, design(2)) }), saves(6))
    change(2)
    jest.clearAllTimers()
    await written()
    const back = new Autosave(() => now)
    back.begin(answer(4, design(1)))
    expect(await back.recovered(answer(4, design(1)))).toMatchObject({ moved: false })
    back.markDirty()
    await jest.advanceTimersByTimeAsync(600)
    expect(back.state.value).toBe('saved')
    now = design(3)
    back.markDirty()
    await jest.advanceTimersByTimeAsync(600)
    expect(sent.at(-1)).toMatchObject({ ifMatch: '"5"', body: { design: { n: 3 } } })
  })
  test('a page left in the middle of a save goes on from what it sent, not from a question', async () => {
    aServer(() => ({ status: 200, body: new Promise(() => {}) }))
    change(2)
    void autosave.save()
    change(3)
    await written()
    const back = new Autosave(() => now)
    back.begin(answer(5, design(2)))
    expect(await back.recovered(answer(5, design(2)))).toMatchObject({
      design: { n: 3 },
      moved: false,
    })
    const sent = aServer(saves(6))
    back.markDirty()
    await jest.advanceTimersByTimeAsync(600)
    expect(sent[0]!.ifMatch).toBe('"5"')
  })
  test('what was sent before and arrives late is saved over, once', async () => {
    aServer(() => ({ status: 200, body: new Promise(() => {}) }))
    change(2)
    void autosave.save()
    change(3)
    await written()
    const back = new Autosave(() => now)
    back.begin(answer(4, design(1)))
    expect(await back.recovered(answer(4, design(1)))).toMatchObject({
      design: { n: 3 },
      moved: false,
    })
    const sent = aServer(refuses('revision-moved', { current: answer(5, design(2)) }), saves(6))
    back.markDirty()
    await jest.advanceTimersByTimeAsync(600)
    expect(sent.map((save) => save.ifMatch)).toEqual(['"4"', '"5"'])
    expect(back.state.value).toBe('saved')
  })
  test('a save whose answer was lost is known again by what comes after it', async () => {
    const sent = aServer(
      down,
      refuses('revision-moved', { current: answer(5, design(2)) }),
      saves(6),
    )
    change(2)
    await jest.advanceTimersByTimeAsync(600)
    expect(autosave.state.value).toBe('offline')
    change(3)
    await jest.advanceTimersByTimeAsync(600)
    expect(autosave.state.value).toBe('saved')
    expect(sent.at(-1)).toMatchObject({ ifMatch: '"5"', body: { design: { n: 3 } } })
  })
  test('leaving sends what waits, at once', async () => {
    const sent = aServer(saves(5))
    change(2)
    await autosave.leave()
    expect(sent).toHaveLength(1)
    await autosave.leave()
    expect(sent).toHaveLength(1)
  })
})
