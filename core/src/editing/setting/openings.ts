import { kAt } from '../../fitting/index.ts'
import type { Layout } from '../../layout/index.ts'
import { brent } from '../../numeric/index.ts'
import { reynolds, speedMPerS, velocityHeadM } from '../../pipe/index.ts'
import { pieceLosses, type ValvePiece } from '../../run/index.ts'

/** A valve that a line can be set with. */
export interface SettingValve {
  readonly lineIndex: number
  readonly piece: number
  readonly valve: ValvePiece
  /** The link that carries what the line brings. */
  readonly link: number
}

/** The last valve of a line before its end that can stand between open and shut; null: none. */
export function settingValve(layout: Layout, lineIndex: number): SettingValve | null {
  const last = layout.segments[lineIndex]!.at(-1)!
  const { placed } = layout.lines[lineIndex]!
  for (let at = last.endPiece - 1; at >= last.firstPiece; at--) {
    const { piece } = placed[at]!
    if (piece.kind === 'valve' && piece.form !== 'diaphragm') {
      return { lineIndex, piece: at, valve: piece, link: last.link }
    }
  }
  return null
}

/** Least opening a valve is set to: below it a hair's turn is the whole flow. */
export const LEAST_OPENING = 0.02

/** Head a valve loses at an opening and a flow; ∞ when shut, zero without flow. */
export function valveLossM(
  layout: Layout,
  { lineIndex, piece, valve }: SettingValve,
  opening: number,
  flowM3PerS: number,
): number {
  if (flowM3PerS <= 0) return 0
  const laid = layout.lines[lineIndex]!
  const { fittings, shut } = pieceLosses(
    { ...laid.placed[piece]!, piece: { ...valve, opening } },
    laid.line.run,
  )
  if (shut) return Infinity
  const { kinematicM2PerS } = layout.water
  return fittings.reduce((sum, { boreM, loss }) => {
    const speed = speedMPerS(flowM3PerS, boreM)
    return sum + kAt(loss, reynolds(speed, boreM, kinematicM2PerS)) * velocityHeadM(speed)
  }, 0)
}

/** The opening at which a valve loses a head at a flow; 1 where even open it loses more. */
export function openingFor(
  layout: Layout,
  setting: SettingValve,
  lossM: number,
  flowM3PerS: number,
): number {
  const spare = (opening: number) =>
    Math.log(valveLossM(layout, setting, opening, flowM3PerS) / Math.max(lossM, 1e-12))
  if (spare(1) >= 0) return 1
  if (spare(LEAST_OPENING) <= 0) return LEAST_OPENING
  const found = brent(spare, LEAST_OPENING, 1, { tolerance: 1e-6 })
  return found.ok ? found.value : 1
}

/** Where a valve's opening stands in the design. */
export const valvePath = (lineIndex: number, piece: number) =>
  ['returnSide', 'lines', lineIndex, 'run', 'pieces', piece, 'opening'] as const
