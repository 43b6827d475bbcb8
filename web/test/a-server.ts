import type { DesignAnswer, PartAnswer, ShelfEntry, ShoppingEntry } from '@yew-basin/contract'
import type { ErrorCode } from '@yew-basin/contract/errors'
import { shelfFigures, solveBasin, type BasinDesign } from '@yew-basin/core'
import { createPinia, setActivePinia } from 'pinia'

interface Kept {
  name: string
  note: string
  deleted: boolean
  /** Revision of its name. */
  named: number
  design: BasinDesign
  revision: number
  before: { revision: number; design: BasinDesign }[]
}

/** What was asked of it. */
export interface Asked {
  readonly method: string
  readonly path: string
  readonly sent: unknown
}

const SAVED_AT = '2026-01-01T10:00:00Z'
const copied = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** A server that keeps basins, revisions, parts and fields as the real one does, in memory. */
export class AServer {
  readonly asked: Asked[] = []
  readonly basins = new Map<string, Kept>()
  readonly fields = new Map<string, Uint8Array>()
  readonly shopping = new Map<string, Map<string, ShoppingEntry>>()
  readonly histories = new Map<string, object[]>()
  parts: PartAnswer[] = []
  /** The shelf's figures have been computed. */
  figured = true
  hasKey = false
  /** What lies in the bin besides basins. */
  binned: PartAnswer[] = []
  /** Requests fail as without a network. */
  down = false
  /** The next request is refused so. */
  refuses: { code: ErrorCode; faults?: { path: string; message: string }[] } | null = null
  /** What a new basin holds. */
  readonly starter: BasinDesign
  #made = 0

  constructor(starter: BasinDesign) {
    this.starter = starter
    globalThis.fetch = ((path: string, how: RequestInit = {}) =>
      this.#answer(path, how)) as unknown as typeof fetch
  }

  /** A basin that stands there already. */
  has(name: string, design: BasinDesign = this.starter): string {
    const id = `b${++this.#made}`
    this.basins.set(id, {
      name,
      note: '',
      deleted: false,
      named: 1,
      design: copied(design),
      revision: 1,
      before: [],
    })
    return id
  }

  /** Another tab saves. */
  movesOn(id: string, design: BasinDesign): void {
    const kept = this.basins.get(id)!
    kept.before.push({ revision: kept.revision, design: kept.design })
    kept.design = copied(design)
    kept.revision += 1
  }

  #design(id: string, kept: Kept): DesignAnswer {
    const { revision, design } = kept
    return { id: `${id}-d`, name: 'Design', revision, savedAt: SAVED_AT, design }
  }

  #basin(id: string) {
    const kept = this.basins.get(id)!
    const { name, note, named: revision } = kept
    return { id, name, note, revision, current: this.#design(id, kept) }
  }

  #shelf(): ShelfEntry[] {
    return [...this.basins]
      .filter(([, { deleted }]) => !deleted)
      .map(([id, { name, note, named, design }]) => ({
        id,
        name,
        note,
        revision: named,
        changedAt: SAVED_AT,
        figures: this.figured ? shelfFigures(solveBasin(design)) : null,
        figuresCurrent: this.figured,
      }))
  }

  async #answer(path: string, how: RequestInit) {
    const method = how.method ?? 'GET'
    const sent =
      typeof how.body === 'string' ? (JSON.parse(how.body) as unknown) : (how.body ?? null)
    this.asked.push({ method, path, sent })
    if (this.down) throw new TypeError('no network')
    if (this.refuses) {
      const { code, faults } = this.refuses
      this.refuses = null
      return problem(code, faults ? { faults } : {})
    }
    const [, , what, id, more] = path.split('/')
    if (more === 'shopping') return this.#ofShopping(id!, sent)
    if (method !== 'GET' && ['basins', 'parts'].includes(what!) && id && id !== 'import') {
      const moved = this.#movedOn(what!, { id, more }, how)
      if (moved) return moved
    }
    if (what === 'workspace') return this.#ofWorkspace(id)
    if (what === 'bin') return this.#ofBin(method)
    if (what === 'basins') return this.#ofBasins(method, { id, more }, sent)
    if (what === 'designs')
      return this.#ofDesigns(
        method,
        { id: id!, at: more === 'revisions' ? path.split('/').at(-1)! : null },
        { sent, how },
      )
    if (what === 'parts') return this.#ofParts(method, { id, more }, sent)
    if (what === 'fields') return this.#ofFields(method, path.split('/').slice(3), how)
    return problem('not-found')
  }

  /** What is had of a list: the later change of each line counts. */
  #ofShopping(id: string, sent: unknown) {
    const own = this.shopping.get(id) ?? new Map<string, ShoppingEntry>()
    this.shopping.set(id, own)
    for (const entry of (sent as { entries: ShoppingEntry[] } | null)?.entries ?? []) {
      const before = own.get(entry.key)
      if (!before || before.changedAt <= entry.changedAt) own.set(entry.key, entry)
    }
    return json({ entries: [...own.values()] })
  }

  #ofBasins(
    method: string,
    { id, more }: { id?: string | undefined; more?: string | undefined },
    sent: unknown,
  ) {
    if (!id)
      return method === 'GET'
        ? json({ entries: this.#shelf(), next: null })
        : json(this.#basin(this.has((sent as { name: string }).name)))
    if (id === 'import') {
      const file = sent as { name: string; designs: { design: BasinDesign }[] }
      return json(this.#basin(this.has(file.name, file.designs[0]!.design)))
    }
    const kept = this.basins.get(id)
    if (!kept || (kept.deleted && more !== 'restore')) return problem('not-found')
    if (more === 'duplicate') return json(this.#basin(this.has(`${kept.name} copy`, kept.design)))
    if (more === 'restore') kept.deleted = false
    if (method === 'PATCH') {
      kept.name = (sent as { name: string }).name
      kept.named++
    }
    if (method === 'DELETE') {
      kept.deleted = true
      return nothing()
    }
    return json(this.#basin(id))
  }

  #ofDesigns(
    method: string,
    { id, at }: { id: string; at: string | null },
    { sent, how }: { sent: unknown; how: RequestInit },
  ) {
    const basinId = id.replace(/-d$/, '')
    const kept = this.basins.get(basinId)
    if (!kept || kept.deleted) return problem('not-found')
    if (at !== null) {
      const older = kept.before.filter(({ revision }) => revision < Number(at)).at(-1)
      return older ? json({ ...older, savedAt: SAVED_AT }) : problem('not-found')
    }
    if (method === 'PUT') {
      const revision = Number(
        (how.headers as Record<string, string>)['If-Match']!.replaceAll('"', ''),
      )
      if (revision !== kept.revision)
        return problem('revision-moved', { current: this.#design(basinId, kept) })
      this.movesOn(basinId, (sent as { design: BasinDesign }).design)
    }
    return json(this.#design(basinId, kept))
  }

  /** Names and parts are changed over the revision that was seen, and no other. */
  #movedOn(
    what: string,
    { id, more }: { id: string; more?: string | undefined },
    how: RequestInit,
  ) {
    if (more === 'restore' || more === 'duplicate') return null
    const part = this.parts.find((known) => known.id === id)
    const basin = this.basins.get(id)
    const revision = what === 'parts' ? part?.revision : basin?.named
    const seen = Number((how.headers as Record<string, string>)['If-Match']?.replaceAll('"', ''))
    if (revision === undefined || revision === seen) return null
    return problem('revision-moved', { current: part ?? { name: basin!.name } })
  }

  #ofWorkspace(what: string | undefined) {
    if (what === 'recovery-key') {
      this.hasKey = true
      return json({ key: 'ABCD-EFGH-JKMN' })
    }
    if (what === 'recover') return problem('not-found')
    const room = (used: number) => ({ used, most: 100 })
    const usage = {
      basins: room(this.basins.size),
      designs: room(3),
      parts: room(this.parts.length),
      fields: room(0),
      bytes: { used: 1_500_000, most: 256_000_000 },
    }
    return json({ kind: 'guest', createdAt: SAVED_AT, hasRecoveryKey: this.hasKey, usage })
  }

  #ofBin(method: string) {
    if (method === 'DELETE') {
      for (const [id, { deleted }] of this.basins) if (deleted) this.basins.delete(id)
      this.binned = []
      return nothing()
    }
    const entry = (thing: string, id: string, name: string) => ({
      thing,
      id,
      name,
      deletedAt: new Date().toISOString(),
      goneAt: new Date(Date.now() + 12.5 * 86_400_000).toISOString(),
    })
    const basins = [...this.basins].filter(([, { deleted }]) => deleted)
    return json({
      entries: [
        ...basins.map(([id, { name }]) => entry('basin', id, name)),
        ...this.binned.map(({ id, name }) => entry('part', id, name)),
      ],
    })
  }

  #ofParts(
    method: string,
    { id, more }: { id?: string | undefined; more?: string | undefined },
    sent: unknown,
  ) {
    if (more === 'history') return json({ entries: this.histories.get(id!) ?? [] })
    if (more === 'restore') {
      const back = this.binned.find((part) => part.id === id)
      if (!back) return problem('not-found')
      this.binned = this.binned.filter((part) => part !== back)
      this.parts = [back, ...this.parts]
      return json(back)
    }
    if (method === 'GET') return json({ parts: this.parts })
    const known = this.parts.find((part) => part.id === id)
    if (method === 'DELETE') {
      this.parts = this.parts.filter((part) => part !== known)
      if (known) this.binned.push(known)
      return nothing()
    }
    const body = sent as { name: string; spec: object }
    const own = id ?? `own-${++this.#made}`
    if (known) {
      const { kind, name, spec, revision } = known
      const before = { revision, savedAt: SAVED_AT, content: { kind, name, spec } }
      this.histories.set(own, [before, ...(this.histories.get(own) ?? [])])
    }
    const part = {
      ...body,
      id: own,
      own: true,
      revision: (known?.revision ?? 0) + 1,
      spec: { ...body.spec, id: own, name: body.name },
    } as unknown as PartAnswer
    this.parts = [part, ...this.parts.filter((other) => other.id !== own)]
    return json(part)
  }

  #ofFields(method: string, at: readonly string[], how: RequestInit) {
    const key = at.join(' ')
    if (at[2] === 'kept' && at.length === 3) {
      const kept = [...this.fields.keys()].filter((other) => other.startsWith(`${key} `))
      const nameOf = (other: string) => decodeURIComponent(other.slice(key.length + 1))
      return json({ kept: kept.map((other) => ({ name: nameOf(other), madeAt: SAVED_AT })) })
    }
    if (method === 'DELETE') return this.fields.delete(key) ? nothing() : problem('not-found')
    if (method === 'PUT') {
      this.fields.set(key, how.body as Uint8Array)
      return nothing()
    }
    const bytes = this.fields.get(key)
    return bytes ? octets(bytes) : nothing()
  }
}

const headers = (type: string) => ({ get: () => type })
const json = (body: unknown) => ({
  ok: true,
  status: 200,
  headers: headers('application/json'),
  json: async () => copied(body),
})
const octets = (bytes: Uint8Array) => ({
  ok: true,
  status: 200,
  headers: headers('application/octet-stream'),
  arrayBuffer: async () => bytes.slice().buffer,
})
const nothing = () => ({ ok: true, status: 204, headers: headers('') })
const problem = (code: ErrorCode, more: object = {}) => ({
  ok: false,
  status: code === 'not-found' ? 404 : 422,
  headers: headers('application/problem+json'),
  json: async () => ({
    code,
    title: code,
    detail: `refused: ${code}`,
    status: 422,
    type: '',
    ...more,
  }),
})

/** A browser that has been here before, with stores of its own. */
export function aBrowser(): void {
  localStorage.clear()
  sessionStorage.clear()
  localStorage.setItem('yew.known', 'yes')
  setActivePinia(createPinia())
}
