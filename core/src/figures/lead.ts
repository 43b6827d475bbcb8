import type { SolvedLine, SolvedReturn } from './return/solved.ts'

/** The line a solved basin is known by. */
export function leadOf({ returnSide }: { readonly returnSide: SolvedReturn }): SolvedLine {
  return returnSide.lines.find(({ lineId }) => lineId === returnSide.leadLineId)!
}
