import type { BasinDesign } from '@yew-basin/core'

let turn = 0

/** A number that comes round again, for a task that must not ask the same thing twice. */
export function nextTurn(of: number): number {
  return (turn = (turn + 1) % of)
}

/** As after a keystroke: one figure is new, all else is the document as it stood. */
export function nudged(design: BasinDesign): BasinDesign {
  const by = nextTurn(1000) * 1e-5
  const { returnSide } = design
  const pumps = returnSide.pumps.map((pump) => ({ ...pump, speed: pump.speed - by }))
  return { ...design, returnSide: { ...returnSide, pumps } }
}
