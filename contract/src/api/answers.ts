import type { BasinDesign, ShelfFigures } from '@yew-basin/core'
import type { PartSpec } from '../part/part-document.ts'
import type { Usage } from './quotas.ts'

/** A basin on the shelf. */
export interface ShelfEntry {
  readonly id: string
  readonly name: string
  readonly note: string
  /** Of its name and note. */
  readonly revision: number
  readonly changedAt: string
  /** null: being computed for the first time. */
  readonly figures: ShelfFigures | null
  /** Whether they are of the design as it is saved; else they are being computed anew. */
  readonly figuresCurrent: boolean
}

/** A page of the shelf, the oldest basin first. */
export interface ShelfPage {
  readonly entries: readonly ShelfEntry[]
  /** Where the next page begins; null: this is the last. */
  readonly next: string | null
}

/** Something deleted that can still be had back. */
export interface BinEntry {
  readonly thing: 'basin' | 'part'
  readonly id: string
  readonly name: string
  readonly deletedAt: string
  /** When it is gone for good. */
  readonly goneAt: string
}

/** What lies in the bin, the latest first. */
export interface BinAnswer {
  readonly entries: readonly BinEntry[]
}

/** A save that arrived: the design itself is what was sent. */
export interface SavedAnswer {
  readonly id: string
  readonly revision: number
  readonly savedAt: string
}

/** One design and where it stands. */
export interface DesignAnswer {
  readonly id: string
  readonly name: string
  readonly revision: number
  readonly savedAt: string
  readonly design: BasinDesign
}

/** A basin opened. */
export interface BasinAnswer {
  readonly id: string
  readonly name: string
  readonly note: string
  /** Of its name and note; the design has its own. */
  readonly revision: number
  readonly current: DesignAnswer
}

/** An earlier state of a design. */
export interface RevisionAnswer {
  readonly revision: number
  readonly savedAt: string
  readonly design: BasinDesign
}

/** The fields of currents that are kept of a tank by a name. */
export interface KeptFieldsAnswer {
  readonly kept: readonly { readonly name: string; readonly madeAt: string }[]
}

/** Whose things these are. */
export interface WorkspaceAnswer {
  readonly kind: 'guest'
  readonly createdAt: string
  /** A key was made that opens this shelf in another browser. */
  readonly hasRecoveryKey: boolean
  readonly usage: Usage
}

/** A recovery key, shown once: only its hash is kept. */
export interface RecoveryKeyAnswer {
  readonly key: string
}

/** An earlier state of something small that is kept, such as a part or a name. */
export interface HistoryEntry {
  readonly revision: number
  readonly savedAt: string
  readonly content: Readonly<Record<string, unknown>>
}

/** Earlier states, the latest first. */
export interface HistoryAnswer {
  readonly entries: readonly HistoryEntry[]
}

/** One part of the sample library, or of the keeper's own. */
export type PartAnswer = PartSpec & {
  readonly id: string
  readonly name: string
  /** The keeper's own: it can be changed. */
  readonly own: boolean
  /** Of the keeper's own; the library's is 0. */
  readonly revision: number
}

/** Parts of the library and the keeper's own. */
export interface PartsAnswer {
  readonly parts: readonly PartAnswer[]
}

/** What a keeper knows of one line of a basin's list: how much is had, what it costs, whether it was ticked. */
export interface ShoppingEntry {
  readonly key: string
  readonly have: number | null
  readonly price: number | null
  readonly tickedAt: string | null
  readonly tickedBy: string | null
  readonly changedAt: string
}

/** All that is known of a basin's list. */
export interface ShoppingAnswer {
  readonly entries: readonly ShoppingEntry[]
}
