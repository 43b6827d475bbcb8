import { type BasinDesign, type Edit, setTo } from '../design/index.ts'
import type { PumpPart } from '../pump/index.ts'

/**
 * Puts another pump in a pump's place, running, as one step. The pump it replaces is carried on
 * only where something else in the design uses it.
 *
 * @param speed left out: as the old one ran, or the nearest the new one can
 */
export function choosePump(
  design: BasinDesign,
  pumpIndex: number,
  part: PumpPart,
  speed?: number,
): Edit[] {
  const { pumps: placed, sparePumpId } = design.returnSide
  const inUse = new Set(placed.flatMap(({ pumpId }, i) => (i === pumpIndex ? [] : [pumpId])))
  if (sparePumpId !== null) inUse.add(sparePumpId)
  const others = design.pumps.filter(({ id }) => id !== part.id && inUse.has(id))
  const at = ['returnSide', 'pumps', pumpIndex] as const
  const wanted = speed ?? Math.max(part.leastSpeed, placed[pumpIndex]!.speed)
  return [
    setTo(['pumps'], [part, ...others]),
    setTo([...at, 'pumpId'], part.id),
    setTo([...at, 'speed'], part.control === 'fixed-speed' ? 1 : wanted),
    setTo([...at, 'stopped'], false),
  ]
}
