import type { Finding } from '@yew-basin/core'
import type { DrawnRun } from './run-drawing.ts'

/** A stop or watch of one piece, where that is drawn. */
export interface FindingMark {
  readonly key: string
  readonly severity: Finding['severity']
  readonly x: number
  readonly y: number
}

/** So far beside its piece a mark stands, px. */
const BESIDE_PX = 14

/** Every stop and watch that names a piece, beside that piece; one mark a piece, the worst. */
export function findingMarks(
  findings: readonly Finding[],
  runs: readonly DrawnRun[],
): FindingMark[] {
  const marked = new Set<string>()
  return findings.flatMap(({ pieceId, severity }) => {
    if (!pieceId || severity === 'fine' || marked.has(pieceId)) return []
    const at = placeOf(pieceId, runs)
    if (!at) return []
    marked.add(pieceId)
    return [{ key: pieceId, severity, x: at.x - BESIDE_PX, y: at.y - BESIDE_PX }]
  })
}

function placeOf(pieceId: string, runs: readonly DrawnRun[]) {
  for (const { pipes, fittings } of runs) {
    const fitting = fittings.find(({ piece }) => piece.id === pieceId)
    if (fitting) return fitting
    const pipe = pipes.find((drawn) => drawn.pieceId === pieceId)
    if (pipe) return { x: (pipe.x1 + pipe.x2) / 2, y: (pipe.y1 + pipe.y2) / 2 }
  }
  return null
}
