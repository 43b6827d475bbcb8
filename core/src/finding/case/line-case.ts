import type { BasinDesign } from '../../design/index.ts'
import type { FlowPlace, SolvedLine } from '../../figures/index.ts'
import { type LaidLine, type LaidPump, pumpOf } from '../../layout/index.ts'
import type { DrawnCase } from '../drawn-rule.ts'
import { lineAsDrawn, type LineAsDrawn } from './line-as-drawn.ts'
import type { Whole } from './whole.ts'

/** One line of the return side, with everything known of it. */
export interface LineCase extends DrawnCase<LineAsDrawn> {
  readonly whole: Whole
  readonly design: BasinDesign
  readonly laid: LaidLine
  readonly solved: SolvedLine
  /** The pump its water comes from. */
  readonly pump: LaidPump
}

/** Every line of the return side. */
export function lineCases(whole: Whole): LineCase[] {
  const { design, layout, returnSide } = whole
  const { tanks, sump } = whole.steady.given
  const { tees } = layout
  return layout.lines.map((laid, i) => {
    const { end, id } = laid.line
    return {
      whole,
      design,
      laid,
      solved: returnSide.lines[i]!,
      pump: pumpOf(layout, i),
      drawing: lineAsDrawn(laid.placed, { line: laid.line, mouth: laid.mouth, tees, tanks, sump }),
      where: { tankId: end.at === 'tank' ? end.id : null, lineId: id },
    }
  })
}

/** "Takeoff: " in front of what is said, where a design has more than one line. */
export function lineWords({ design, laid }: LineCase): string {
  return design.returnSide.lines.length > 1 ? `${laid.line.name}: ` : ''
}

/** What a line should carry: its own target, else what its tank wants. */
export function wantedThrough({ laid, whole }: LineCase): number {
  const tank = whole.tanks.find(({ tankId }) => tankId === laid.line.end.id)
  return laid.line.wantedFlowM3PerS ?? tank?.wantedFlowM3PerS ?? 0
}

/** A line's own end, for asking what flows there. */
export const ofLine = ({ laid }: LineCase): FlowPlace => ({ lineId: laid.line.id })
