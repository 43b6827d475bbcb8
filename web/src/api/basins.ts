import type {
  BasinAnswer,
  BinAnswer,
  BinEntry,
  DesignAnswer,
  HistoryAnswer,
  KeptFieldsAnswer,
  ShoppingAnswer,
  ShoppingEntry,
  PartAnswer,
  PartKind,
  PartsAnswer,
  RecoveryKeyAnswer,
  RevisionAnswer,
  SavedAnswer,
  ShelfPage,
  WorkspaceAnswer,
} from '@yew-basin/contract'
import type { BasinDesign, UnitFamily } from '@yew-basin/core'
import { request } from './client.ts'

export const basinsApi = {
  shelf: (after: string | null) =>
    request<ShelfPage>(after === null ? '/basins' : `/basins?after=${encodeURIComponent(after)}`),
  open: (id: string) => request<BasinAnswer>(`/basins/${id}`),
  create: (name: string, units: UnitFamily) =>
    request<BasinAnswer>('/basins', { method: 'POST', body: { name, units } }),
  rename: (id: string, changed: number, name: string) =>
    request<BasinAnswer>(`/basins/${id}`, { method: 'PATCH', body: { name }, ifMatch: changed }),
  duplicate: (id: string) => request<BasinAnswer>(`/basins/${id}/duplicate`, { method: 'POST' }),
  remove: (id: string, changed: number) =>
    request<void>(`/basins/${id}`, { method: 'DELETE', ifMatch: changed }),
  restore: (id: string) => request<BasinAnswer>(`/basins/${id}/restore`, { method: 'POST' }),
  bringIn: (json: string) => request<BasinAnswer>('/basins/import', { method: 'POST', json }),
  exportAddress: (id: string) => `/api/basins/${id}/export`,
}

export const designsApi = {
  open: (id: string) => request<DesignAnswer>(`/designs/${id}`),
  save: (id: string, changed: number, design: BasinDesign, keepalive = false) =>
    request<SavedAnswer>(`/designs/${id}`, {
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
  change: (id: string, changed: number, body: SentPart) =>
    request<PartAnswer>(`/parts/${id}`, { method: 'PUT', body, ifMatch: changed }),
  remove: (id: string, changed: number) =>
    request<void>(`/parts/${id}`, { method: 'DELETE', ifMatch: changed }),
  restore: (id: string) => request<PartAnswer>(`/parts/${id}/restore`, { method: 'POST' }),
  history: (id: string) => request<HistoryAnswer>(`/parts/${id}/history`),
}

/** Whose shelf this is, and what lies in its bin. */
export const shelfApi = {
  workspace: () => request<WorkspaceAnswer>('/workspace'),
  makeKey: () => request<RecoveryKeyAnswer>('/workspace/recovery-key', { method: 'POST' }),
  recover: (key: string) =>
    request<WorkspaceAnswer>('/workspace/recover', { method: 'POST', body: { key } }),
  bin: () => request<BinAnswer>('/bin'),
  emptyBin: () => request<void>('/bin', { method: 'DELETE' }),
  restore: ({ thing, id }: BinEntry) =>
    request<unknown>(`/${thing === 'basin' ? 'basins' : 'parts'}/${id}/restore`, {
      method: 'POST',
    }),
}

/** Fields of currents, as core packs them. */
export const fieldsApi = {
  read: (designId: string, tankId: string) =>
    request<Uint8Array | undefined>(`/fields/${designId}/${encodeURIComponent(tankId)}`),
  keep: (designId: string, tankId: string, bytes: Uint8Array) =>
    request<void>(`/fields/${designId}/${encodeURIComponent(tankId)}`, { method: 'PUT', bytes }),
  kept: (designId: string, tankId: string) =>
    request<KeptFieldsAnswer>(`/fields/${designId}/${encodeURIComponent(tankId)}/kept`),
  readKept: (designId: string, tankId: string, name: string) =>
    request<Uint8Array | undefined>(keptAt(designId, tankId, name)),
  keepAs: (designId: string, tankId: string, name: string, bytes: Uint8Array) =>
    request<void>(keptAt(designId, tankId, name), { method: 'PUT', bytes }),
  dropKept: (designId: string, tankId: string, name: string) =>
    request<void>(keptAt(designId, tankId, name), { method: 'DELETE' }),
}

/** What is had, paid and ticked of a basin's list. */
export const shoppingApi = {
  read: (basinId: string) => request<ShoppingAnswer>(`/basins/${basinId}/shopping`),
  merge: (basinId: string, entries: readonly ShoppingEntry[]) =>
    request<ShoppingAnswer>(`/basins/${basinId}/shopping`, { method: 'PATCH', body: { entries } }),
}

const keptAt = (designId: string, tankId: string, name: string) =>
  `/fields/${designId}/${encodeURIComponent(tankId)}/kept/${encodeURIComponent(name)}`
