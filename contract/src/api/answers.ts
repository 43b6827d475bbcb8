import type { BasinDesign } from '@yew-basin/core'
import type { PartSpec } from '../part/part-document.ts'

/** A basin on the shelf. */
export interface ShelfEntry {
  readonly id: string
  readonly name: string
  readonly note: string
  readonly changedAt: string
  readonly design: BasinDesign
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
  readonly current: DesignAnswer
}

/** An earlier state of a design. */
export interface RevisionAnswer {
  readonly revision: number
  readonly savedAt: string
  readonly design: BasinDesign
}

/** Whose things these are. */
export interface WorkspaceAnswer {
  readonly kind: 'guest'
  readonly createdAt: string
}

/** One part of the sample library, or of the keeper's own. */
export type PartAnswer = PartSpec & {
  readonly id: string
  readonly name: string
  /** The keeper's own: it can be changed. */
  readonly own: boolean
}

/** Parts of the library and the keeper's own. */
export interface PartsAnswer {
  readonly parts: readonly PartAnswer[]
}
