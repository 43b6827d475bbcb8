import { type BasinDesign, steadyState } from '@yew-basin/core'
import type { ThingLink, ThingNetwork } from './thing-network.ts'

/** A design's return side with every uncertain thing by itself, its water where it runs. */
export function designNetwork(name: string, design: BasinDesign): ThingNetwork {
  const { lines, segments, problem } = steadyState(design).layout
  const links = problem.links.map((link, l): ThingLink => {
    const index = segments.findIndex((own) => own.some((segment) => segment.link === l))
    const own = segments[index]!
    const n = own.findIndex((segment) => segment.link === l)
    const { firstPiece, endPiece } = own[n]!
    const { losses, startLosses, endLosses } = lines[index]!
    const pieces = losses.slice(firstPiece, endPiece)
    return {
      ...link,
      frictions: pieces.flatMap(({ friction }) => (friction ? [friction] : [])),
      fittings: [
        ...(n === 0 ? startLosses : []),
        ...pieces.flatMap(({ fittings }) => fittings),
        ...(n === own.length - 1 ? endLosses : []),
      ],
    }
  })
  return { name, nodes: problem.nodes, links, water: problem.water }
}
