import { beforeEach, describe, expect, test } from '@jest/globals'
import { createPinia, setActivePinia } from 'pinia'
import { newSpec } from '../src/parts/part-words.ts'
import { useParts } from '../src/parts/parts-store.ts'

interface Asked {
  readonly method: string
  readonly path: string
}

/** A server that keeps what it is sent, and fails while it is told to. */
function aServer() {
  const asked: Asked[] = []
  const listed: object[] = []
  const server = { asked, down: false, listed }
  let kept = 0
  const library = [
    { id: 'small', kind: 'pump', name: 'Small', mine: false, spec: { id: 'small' } },
    { id: 'sleeve', kind: 'bulkhead', name: 'Sleeve', mine: false, spec: {} },
    { id: 'large', kind: 'pump', name: 'Large', mine: false, spec: { id: 'large' } },
  ]
  globalThis.fetch = (async (path: string, how: { method?: string; body?: string } = {}) => {
    const method = how.method ?? 'GET'
    asked.push({ method, path })
    if (server.down) throw new TypeError('no network')
    const sent = how.body ? (JSON.parse(how.body) as { kind: string; name: string }) : null
    const id = method === 'POST' ? `own-${++kept}` : path.split('/').at(-1)!
    const answer =
      method === 'GET'
        ? { parts: [...listed, ...library] }
        : { ...sent, id, mine: true, spec: { id, ...sent } }
    return {
      ok: true,
      status: method === 'DELETE' ? 204 : 200,
      headers: new Headers({ 'Content-Type': 'application/json' }),
      json: async () => answer,
    }
  }) as unknown as typeof fetch
  return server
}

describe('the parts', () => {
  let server: ReturnType<typeof aServer>
  beforeEach(() => {
    localStorage.clear()
    localStorage.setItem('yew.known', 'yes')
    setActivePinia(createPinia())
    server = aServer()
  })
  const fetched = () => server.asked.filter(({ method }) => method === 'GET').length

  test('are fetched once, however many views want them', async () => {
    const parts = useParts()
    await parts.want()
    await parts.want()
    expect(fetched()).toBe(1)
    expect(parts.pumps.map(({ id }) => id)).toEqual(['small', 'large'])
  })
  test('that could not be fetched say so, and are fetched by the next view', async () => {
    const parts = useParts()
    server.down = true
    await parts.want()
    expect([parts.ready, parts.parts]).toEqual([false, []])
    expect(parts.fault).not.toBe('')
    server.down = false
    await parts.want()
    expect([parts.ready, parts.fault]).toEqual([true, ''])
    expect(parts.parts).toHaveLength(3)
  })
  test('of the keeper’s own are among the pumps as soon as they are kept, changed or gone', async () => {
    const parts = useParts()
    await parts.want()
    const sent = { kind: 'pump', name: 'Mine', spec: newSpec('pump') } as const
    const own = await parts.keep({ id: null, revision: 0 }, sent)
    expect(parts.pumps[0]!.id).toBe(own.id)
    await parts.keep(own, { ...sent, name: 'Mine, cleaned' })
    expect(parts.parts.filter(({ id }) => id === own.id).map(({ name }) => name)).toEqual([
      'Mine, cleaned',
    ])
    await parts.remove(own)
    expect(parts.pumps.map(({ id }) => id)).toEqual(['small', 'large'])
    expect(fetched()).toBe(1)
  })
  test('that are kept while the list is still under way are not lost by it', async () => {
    const parts = useParts()
    const listed = parts.want()
    // The answer that is under way was made before this part was.
    parts.put({ id: 'mine', kind: 'pump', name: 'Mine', mine: true } as never)
    server.listed.push({ id: 'mine', kind: 'pump', name: 'Mine', mine: true, spec: { id: 'mine' } })
    await listed
    expect(parts.parts.map(({ id }) => id)).toContain('mine')
    expect(fetched()).toBe(2)
  })
  test('that the server refuses are not kept', async () => {
    const parts = useParts()
    await parts.want()
    server.down = true
    const sent = { kind: 'pump', name: 'Mine', spec: newSpec('pump') } as const
    await expect(parts.keep({ id: null, revision: 0 }, sent)).rejects.toThrow('does not answer')
    expect(parts.parts).toHaveLength(3)
  })
})
