import type { BasinDesign, ReturnLine } from '../../design/index.ts'

/** What a line's end should carry. */
export interface FlowTarget {
  readonly lineId: string
  readonly flowM3PerS: number
}

/** The targets of a design: lines that want a flow of their own, and each tank's share of what it wants. */
export function targetsOf(
  design: BasinDesign,
  wantedByTank: Readonly<Record<string, number>>,
): FlowTarget[] {
  const { lines } = design.returnSide
  return lines.flatMap((line) => {
    if (line.wantedFlowM3PerS !== null) {
      return [{ lineId: line.id, flowM3PerS: line.wantedFlowM3PerS }]
    }
    if (line.end.at !== 'tank') return []
    const into = lines.filter(({ end }) => end.at === 'tank' && end.id === line.end.id)
    const own = into.reduce((sum, returnLine) => sum + (returnLine.wantedFlowM3PerS ?? 0), 0)
    const open = into.filter((returnLine) => returnLine.wantedFlowM3PerS === null).length
    const share = ((wantedByTank[line.end.id ?? ''] ?? 0) - own) / open
    return share > 0 ? [{ lineId: line.id, flowM3PerS: share }] : []
  })
}

/** What all ends of a pump's lines want together; null: they want nothing. */
export function wantedOfPump(
  design: BasinDesign,
  placedId: string,
  wantedByTank: Readonly<Record<string, number>>,
): number | null {
  const own = linesOfPump(design.returnSide.lines, placedId)
  const wanted = targetsOf(design, wantedByTank).filter(({ lineId }) => own.has(lineId))
  if (wanted.length === 0) return null
  return wanted.reduce((sum, { flowM3PerS }) => sum + flowM3PerS, 0)
}

/** The lines that a pump's water goes through: its own, and those that hang on their tees. */
function linesOfPump(lines: readonly ReturnLine[], placedId: string): ReadonlySet<string> {
  const found = new Set<string>()
  const visit = (line: ReturnLine): void => {
    if (found.has(line.id)) return
    found.add(line.id)
    const tees = new Set(line.run.pieces.map(({ id }) => id))
    lines.filter(({ start }) => start.at === 'tee' && tees.has(start.id)).forEach(visit)
  }
  lines.filter(({ start }) => start.at === 'pump' && start.id === placedId).forEach(visit)
  return found
}
