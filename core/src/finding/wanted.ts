import type { LineCase } from './finding.ts'

/** Above what is wanted by this share, a flow costs power and noise for nothing (choice). */
export const PAST_SHARE = 0.25

/** What a line should carry: its own target, else what its tank wants. */
export function wantedThrough({ laid, solving }: LineCase): number {
  const tank = solving.tanks.find(({ tankId }) => tankId === laid.line.end.id)
  return laid.line.wantedFlowM3PerS ?? tank?.wantedFlowM3PerS ?? 0
}
