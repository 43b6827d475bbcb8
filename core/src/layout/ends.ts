import type { Flows } from '../network/index.ts'
import type { Layout } from './layout.ts'

/** The link that carries what leaves at a line's end. */
export function endLink({ segments }: Layout, lineIndex: number): number {
  return segments[lineIndex]!.at(-1)!.link
}

/** What leaves at a line's end. */
export function endFlow(layout: Layout, { flowsM3PerS }: Flows, lineIndex: number): number {
  return flowsM3PerS[endLink(layout, lineIndex)]!
}

/** What the lines bring into a tank; without one, into all of them. */
export function tankFlow(layout: Layout, flows: Flows, tankId: string | null = null): number {
  return layout.lines.reduce(
    (sum, { line, index }) =>
      line.end.at === 'tank' && (tankId === null || line.end.id === tankId)
        ? sum + endFlow(layout, flows, index)
        : sum,
    0,
  )
}

/** What comes out of a pump; zero when it feeds no line. */
export function pumpFlow({ segments }: Layout, lineIndex: number | null, flows: Flows): number {
  return lineIndex === null ? 0 : flows.flowsM3PerS[segments[lineIndex]![0]!.link]!
}
