import type { BasinDesign } from '../design/index.ts'
import type { Network } from '../network/index.ts'
import { flatMap } from '../numeric/index.ts'
import type { LaidLine } from './laid-line.ts'
import { overItsTank } from './lay-lines.ts'
import type { Layout } from './layout.ts'

/** A node whose head is a level, or the mouth that stands over it. */
interface BoundaryNode {
  readonly node: number
  /** Its place among the levels. */
  readonly level: number
  /** The mouth that ends there; null: a pump draws there. */
  readonly mouthM: number | null
  /** The live link that ends there, and whether a check valve keeps it one-way in any case. */
  readonly link: number
  readonly hasCheck: boolean
}

/** Ends whose state is fixed, not found from the levels. */
export interface FixedEnds {
  /** Lines that let nothing back whatever stands at their end, as a siphon that broke. */
  readonly held: ReadonlySet<string>
  /** Lines that count as under water until they are fixed otherwise. */
  readonly under: ReadonlySet<string>
}

/**
 * Where a network feels levels that the loop moves, tanks first, then chambers: moving them in
 * place spares laying the design out anew for every pass.
 */
export class BoundaryLevels {
  readonly #nodes: readonly BoundaryNode[]
  readonly #network: Network

  constructor(
    design: BasinDesign,
    layout: Layout,
    network: Network,
    fixed: FixedEnds = NONE_FIXED,
  ) {
    this.#network = network
    this.#nodes = [...drawn(design, layout), ...ended(design, layout, network, fixed)]
  }

  /** Places of the levels that it feels. */
  get places(): readonly number[] {
    return [...new Set(this.#nodes.map(({ level }) => level))]
  }

  /** Puts the network against the levels; false where it feels none of what moved. */
  apply(levels: number[]): boolean {
    const { nodeHead, searches } = this.#network
    let moved = false
    for (const { node, level, mouthM, link, hasCheck } of this.#nodes) {
      const inAir = mouthM !== null && mouthM >= levels[level]!
      const headM = inAir ? mouthM : levels[level]!
      if (nodeHead[node] !== headM) moved = true
      nodeHead[node] = headM
      if (mouthM !== null && link >= 0) {
        const oneWay = hasCheck || inAir
        if (searches[link]!.oneWay !== oneWay) moved = true
        searches[link]!.oneWay = oneWay
      }
    }
    return moved
  }
}

const NONE_FIXED: FixedEnds = { held: new Set(), under: new Set() }

function drawn({ tanks, sump }: BasinDesign, { pumps, segments, problem }: Layout): BoundaryNode[] {
  if (!sump.box) return []
  return flatMap(pumps, ({ placed, lineIndex }): BoundaryNode[] => {
    if (lineIndex === null) return []
    const node = problem.links[segments[lineIndex]![0]!.link]!.from
    const level = tanks.length + sump.chambers.findIndex(({ id }) => id === placed.chamberId)
    return [{ node, level, mouthM: null, link: -1, hasCheck: false }]
  })
}

function ended(
  design: BasinDesign,
  layout: Layout,
  network: Network,
  { held, under }: FixedEnds,
): BoundaryNode[] {
  return flatMap(layout.lines, (laid, i): BoundaryNode[] => {
    const level = levelOf(design, laid)
    if (level < 0) return []
    const { link } = layout.segments[i]!.at(-1)!
    return [
      {
        node: layout.problem.links[link]!.to,
        level,
        mouthM: under.has(laid.line.id) ? -Infinity : laid.mouth.zM,
        link: network.tree.place[link]!,
        hasCheck: layout.cuts[i]!.at(-1)!.hasCheck || held.has(laid.line.id),
      },
    ]
  })
}

/** The level a line's end feels; −1: none that moves. */
function levelOf({ tanks, sump }: BasinDesign, { line: { end }, mouth }: LaidLine): number {
  if (end.at === 'chamber') {
    return sump.box ? tanks.length + sump.chambers.findIndex(({ id }) => id === end.id) : -1
  }
  if (end.at !== 'tank') return -1
  const index = tanks.findIndex(({ id }) => id === end.id)
  return tanks[index]!.overflow && overItsTank(tanks[index]!, mouth) ? index : -1
}
