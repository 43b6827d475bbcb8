import type {
  BasinAnswer,
  DesignAnswer,
  PartAnswer,
  PartKind,
  PartsAnswer,
  RevisionAnswer,
  ShelfEntry,
} from '@yew-basin/contract'
import type { BasinDesign } from '@yew-basin/core'
import { request } from './client.ts'

export const basinsApi = {
  shelf: () => request<ShelfEntry[]>('/basins'),
  open: (id: string) => request<BasinAnswer>(`/basins/${id}`),
  create: (name: string) => request<BasinAnswer>('/basins', { method: 'POST', body: { name } }),
  rename: (id: string, name: string) =>
    request<BasinAnswer>(`/basins/${id}`, { method: 'PATCH', body: { name } }),
  duplicate: (id: string) => request<BasinAnswer>(`/basins/${id}/duplicate`, { method: 'POST' }),
  remove: (id: string) => request<void>(`/basins/${id}`, { method: 'DELETE' }),
  restore: (id: string) => request<BasinAnswer>(`/basins/${id}/restore`, { method: 'POST' }),
  bringIn: (json: string) => request<BasinAnswer>('/basins/import', { method: 'POST', json }),
  exportAddress: (id: string) => `/api/basins/${id}/export`,
}

export const designsApi = {
  open: (id: string) => request<DesignAnswer>(`/designs/${id}`),
  save: (id: string, changed: number, design: BasinDesign, keepalive = false) =>
    request<DesignAnswer>(`/designs/${id}`, {
      method: 'PUT',
      body: { design },
      ifMatch: changed,
      keepalive,
    }),
  before: (id: string, revision: number) =>
    request<RevisionAnswer>(`/designs/${id}/revisions/before/${revision}`),
}

interface SentPart {
  readonly kind: PartKind
  readonly name: string
  readonly spec: object
}

export const partsApi = {
  all: () => request<PartsAnswer>('/parts'),
  keep: (body: SentPart) => request<PartAnswer>('/parts', { method: 'POST', body }),
  change: (id: string, body: SentPart) =>
    request<PartAnswer>(`/parts/${id}`, { method: 'PUT', body }),
  remove: (id: string) => request<void>(`/parts/${id}`, { method: 'DELETE' }),
}

/** Fields of currents, as core packs them. */
export const fieldsApi = {
  read: (designId: string, tankId: string) =>
    request<Uint8Array | undefined>(`/fields/${designId}/${encodeURIComponent(tankId)}`),
  keep: (designId: string, tankId: string, bytes: Uint8Array) =>
    request<void>(`/fields/${designId}/${encodeURIComponent(tankId)}`, { method: 'PUT', bytes }),
}
