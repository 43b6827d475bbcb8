import type { DesignAnswer, PartAnswer, ShelfEntry } from '@yew-basin/contract'
import type { ErrorCode } from '@yew-basin/contract/errors'
import type { BasinDesign } from '@yew-basin/core'
import { createPinia, setActivePinia } from 'pinia'

interface Kept {
  name: string
  note: string
  deleted: boolean
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
  parts: PartAnswer[] = []
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
    return { id, name: kept.name, note: kept.note, current: this.#design(id, kept) }
  }

  #shelf(): ShelfEntry[] {
    return [...this.basins]
      .filter(([, { deleted }]) => !deleted)
      .map(([id, { name, note, design }]) => ({ id, name, note, changedAt: SAVED_AT, design }))
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
    const [, , what, id, more, at] = path.split('/')
    if (what === 'basins') return this.#ofBasins(method, { id, more }, sent)
    if (what === 'designs')
      return this.#ofDesigns(
        method,
        { id: id!, at: more === 'revisions' ? path.split('/').at(-1)! : null },
        { sent, how },
      )
    if (what === 'parts') return this.#ofParts(method, id, sent)
    if (what === 'fields') return this.#ofFields(method, `${id} ${more ?? at}`, how)
    return problem('not-found')
  }

  #ofBasins(
    method: string,
    { id, more }: { id?: string | undefined; more?: string | undefined },
    sent: unknown,
  ) {
    if (!id)
      return method === 'GET'
        ? json(this.#shelf())
        : json(this.#basin(this.has((sent as { name: string }).name)))
    if (id === 'import') {
      const file = sent as { name: string; designs: { design: BasinDesign }[] }
      return json(this.#basin(this.has(file.name, file.designs[0]!.design)))
    }
    const kept = this.basins.get(id)
    if (!kept || (kept.deleted && more !== 'restore')) return problem('not-found')
    if (more === 'duplicate') return json(this.#basin(this.has(`${kept.name} copy`, kept.design)))
    if (more === 'restore') kept.deleted = false
    if (method === 'PATCH') kept.name = (sent as { name: string }).name
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

  #ofParts(method: string, id: string | undefined, sent: unknown) {
    if (method === 'GET') return json({ parts: this.parts })
    if (method === 'DELETE') {
      this.parts = this.parts.filter((part) => part.id !== id)
      return nothing()
    }
    const body = sent as { name: string; spec: object }
    const own = id ?? `own-${++this.#made}`
    const part = {
      ...body,
      id: own,
      own: true,
      spec: { ...body.spec, id: own, name: body.name },
    } as unknown as PartAnswer
    this.parts = [part, ...this.parts.filter((other) => other.id !== own)]
    return json(part)
  }

  #ofFields(method: string, key: string, how: RequestInit) {
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
