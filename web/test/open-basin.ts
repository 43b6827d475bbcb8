import { readBasinFile, type BasinAnswer } from '@yew-basin/contract'
import type { BasinDesign } from '@yew-basin/core'
import { createPinia, setActivePinia } from 'pinia'
import { readFileSync } from 'node:fs'
import { useDesign } from '../src/workspace/design-store.ts'

const FILE = new URL('../../contract/test/frozen/format-8.json', import.meta.url)

/** A design that has something of everything: two lines, a box of drains, a walled sump, devices, a scene. */
export function aFullDesign(): BasinDesign {
  const read = readBasinFile(readFileSync(FILE, 'utf8'))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  // As it comes over the wire: plain, not of the contract's classes.
  return JSON.parse(JSON.stringify(read.value.designs[0]!.design)) as BasinDesign
}

/** The application with a basin open, on a server that knows nothing but that basin. */
export async function anOpenBasin(design: BasinDesign = aFullDesign()) {
  localStorage.clear()
  localStorage.setItem('yew.known', 'yes')
  setActivePinia(createPinia())
  const current = { id: 'd', name: 'Design', revision: 1, savedAt: '2026-01-01T00:00:00Z', design }
  const basin: BasinAnswer = { id: 'b', name: 'Basin', note: '', revision: 1, current }
  const answers: Readonly<Record<string, unknown>> = {
    '/api/basins/b': basin,
    '/api/parts': { parts: [] },
  }
  globalThis.fetch = (async (path: string) => ({
    ok: true,
    status: 200,
    headers: new Headers({ 'Content-Type': 'application/json' }),
    json: async () => answers[path] ?? [],
  })) as unknown as typeof fetch
  const store = useDesign()
  await store.open('b')
  return store
}
