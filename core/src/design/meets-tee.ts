import type { BasinDesign } from './design.ts'
import type { Drain } from './overflow.ts'

type Ways = Pick<BasinDesign, 'returnSide' | 'drains'>

/** The line that starts or ends at a tee; undefined: none does. */
export function lineAtTee({ returnSide }: Ways, teeId: string) {
  return returnSide.lines.find(
    ({ start, end }) =>
      (start.at === 'tee' && start.id === teeId) || (end.at === 'tee' && end.id === teeId),
  )
}

/** Place of the drain that joins at a tee; −1: none does. */
export function drainAtTee({ drains }: Ways, teeId: string): number {
  return drains.findIndex(({ end }) => end.at === 'tee' && end.id === teeId)
}

/** Does another drain run into this one? */
export function isJoined(design: Ways, { run }: Drain): boolean {
  return run.pieces.some(({ id }) => drainAtTee(design, id) >= 0)
}

/** Does a line or a drain meet a tee? */
export function isTeeMet(design: Ways, teeId: string): boolean {
  return lineAtTee(design, teeId) !== undefined || drainAtTee(design, teeId) >= 0
}
