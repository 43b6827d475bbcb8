import type { Water } from '../fluid/index.ts'
import {
  type Line,
  inOneLine,
  linkHead,
  type LinkHead,
  type LinkSearch,
  searchOf,
} from '../network/index.ts'
import { type Pchip, risingRoot } from '../numeric/index.ts'

/** Full pipe that water falls through under its own weight. */
export interface Fall {
  readonly line: Line
  readonly tables: readonly Pchip[]
  readonly shut: boolean
  readonly water: Water
}

/** A pipe that water falls through, its losses as one law. */
export function makeFall(line: Line, tables: readonly Pchip[], shut: boolean, water: Water): Fall {
  return { line, tables, shut, water }
}

/** Two stretches of pipe, one after the other. */
export function inSeries(first: Fall, then: Fall): Fall {
  return {
    line: inOneLine(first.line, then.line),
    tables: [...first.tables, ...then.tables],
    shut: first.shut || then.shut,
    water: first.water,
  }
}

/** A pipe that costs nothing would let all through: this stands for it, m³/s. */
const MOST_FLOW_M3_PER_S = 1

/** A flow, and how much more a little more head would send. */
export interface FallFlow {
  readonly flowM3PerS: number
  /** dq/dh, m²/s. */
  readonly perHead: number
}

const NOTHING: FallFlow = { flowM3PerS: 0, perHead: 0 }

/** Somebody's search along a full pipe, to be asked again and again; never shared. */
export class FallSearch {
  readonly fall: Fall
  readonly link: LinkSearch
  readonly #at: LinkHead = { headM: 0, slope: 0 }

  constructor(fall: Fall) {
    this.fall = fall
    this.link = searchOf({ line: fall.line, tables: fall.tables, pump: null }, fall.water)
  }

  /** Head that a flow loses, exit included, m. */
  headM(flowM3PerS: number): number {
    linkHead(this.link, flowM3PerS, this.#at)
    return this.#at.headM
  }

  /** The same with its slope, s/m²; read at once, it holds nothing until the next call. */
  lossAt(flowM3PerS: number): Readonly<LinkHead> {
    linkHead(this.link, flowM3PerS, this.#at)
    return this.#at
  }

  /** Flow whose losses use up a head: H = (Σ K + f L/D) V²/2g. */
  flowAt(headM: number, guessM3PerS: number): FallFlow {
    if (this.fall.shut || headM <= 0) return NOTHING
    const { x, slope } = risingRoot(
      (flow, into) => {
        linkHead(this.link, flow, this.#at)
        into.value = this.#at.headM
        into.slope = this.#at.slope
      },
      headM,
      { low: 0, guess: guessM3PerS, most: MOST_FLOW_M3_PER_S, tolerance: 1e-8 },
    )
    return { flowM3PerS: Math.min(x, MOST_FLOW_M3_PER_S), perHead: slope > 0 ? 1 / slope : 0 }
  }
}

/** Head that a flow loses in a full pipe, exit included, m. */
export function fallHeadM(fall: Fall, flowM3PerS: number): number {
  return new FallSearch(fall).headM(flowM3PerS)
}

/** Flow of a full pipe whose losses use up a head. */
export function fallFlow(fall: Fall, headM: number, guessM3PerS = 1e-4): number {
  return new FallSearch(fall).flowAt(headM, guessM3PerS).flowM3PerS
}
