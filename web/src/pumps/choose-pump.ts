import type { BasinDesign, Edit, PumpPart } from '@yew-basin/core'

/** Puts another pump in a pump's place, as one step; one of fixed speed runs at full speed. */
export function chosen(design: BasinDesign, pumpIndex: number, part: PumpPart): Edit[] {
  const { pumps, returnSide } = design
  const placed = returnSide.pumps[pumpIndex]!
  const inUse = new Set(
    [...returnSide.pumps.filter((one) => one !== placed).map((one) => one.pumpId)].concat(
      returnSide.sparePumpId ?? [],
    ),
  )
  // The pump it replaces is carried on only where something else in the design uses it.
  const others = pumps.filter(
    (one) => one.id !== part.id && (one.id !== placed.pumpId || inUse.has(one.id)),
  )
  const speed = part.control === 'fixed-speed' ? 1 : Math.max(part.leastSpeed, placed.speed)
  const at = ['returnSide', 'pumps', pumpIndex] as const
  return [
    { op: 'set', path: ['pumps'], to: [part, ...others] },
    { op: 'set', path: [...at, 'pumpId'], to: part.id },
    { op: 'set', path: [...at, 'speed'], to: speed },
  ]
}
