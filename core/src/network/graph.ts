import type { TeeLaw } from '../fitting/index.ts'

/** A tee where two or three links meet. */
export interface NetworkTee {
  /** Its sizes; null: it costs nothing. */
  readonly law: TeeLaw | null
  /** The links at the two ends of its run and at its branch, as places in the list; −1: none. */
  readonly legs: readonly [number, number, number]
}

/** What a network's tree hangs on: which nodes have a known head, which links stand between them, open or shut. */
export interface Graph {
  readonly nodes: readonly {
    readonly id: string
    /** null: to be found. */
    readonly headM: number | null
    readonly tee: NetworkTee | null
  }[]
  readonly links: readonly {
    readonly from: number
    readonly to: number
    readonly shut: boolean
    /** null: none. */
    readonly pump: object | null
  }[]
}
