import { flatMap, memoize } from '../numeric/index.ts'
import type { Piece } from '../run/index.ts'
import type { FixedLines } from './lay-lines.ts'
import type { Segment } from './segments.ts'

/** One line of the way back from a line's end: its stretches up to the end or to the tee it feeds. */
export interface PathPart {
  readonly lineIndex: number
  readonly segments: readonly Segment[]
  /** What the water passes of it. */
  readonly pieces: readonly Piece[]
}

/** The stretches of each line, and its water's way; no level moves them. */
export interface Ways {
  /** Of each line, in the order the water passes. */
  readonly segments: readonly (readonly Segment[])[]
  /** Of each line: the way of its water from a pump, pump first. */
  readonly paths: readonly (readonly PathPart[])[]
}

/** The ways of lines that are laid. */
export const waysOf = memoize((fixed: FixedLines): Ways => {
  let links = 0
  const segments = fixed.cuts.map((cuts, lineIndex) =>
    cuts.map(({ firstPiece, endPiece }): Segment => ({
      lineIndex,
      link: links++,
      firstPiece,
      endPiece,
    })),
  )
  return { segments, paths: segments.map((_, index) => pathTo(fixed, segments, index)) }
})

function pathTo(
  { lines, tees }: FixedLines,
  segments: Ways['segments'],
  lineIndex: number,
): PathPart[] {
  const part = (index: number, own: readonly Segment[]): PathPart => ({
    lineIndex: index,
    segments: own,
    pieces: flatMap(own, ({ firstPiece, endPiece }) =>
      lines[index]!.line.run.pieces.slice(firstPiece, endPiece),
    ),
  })
  const backwards = [part(lineIndex, segments[lineIndex]!)]
  let { start } = lines[lineIndex]!.line
  while (start.at === 'tee') {
    const teeId = start.id
    const index = lines.findIndex(({ line }) => line.id === tees.get(teeId)!.lineId)
    const at = lines[index]!.placed.findIndex(({ piece }) => piece.id === teeId)
    const upToTee = segments[index]!.filter((segment) => segment.endPiece <= at)
    backwards.push(part(index, upToTee))
    start = lines[index]!.line.start
  }
  return backwards.reverse()
}
