import type { BasinDesign } from '@yew-basin/core'

type Named = { readonly id?: unknown } | null

/**
 * What does not hold together between devices, chambers and lines, in words; null when all of it
 * does. Says nothing about a part that is not even of its shape: its own class says that.
 */
export function equipmentFault({ sump, returnSide }: BasinDesign): string | null {
  const lists: unknown[] = [sump?.devices, sump?.chambers, returnSide?.lines]
  const shaped = lists.every(
    (list) =>
      Array.isArray(list) &&
      list.every((entry: Named) => typeof entry === 'object' && entry !== null),
  )
  if (!shaped) return null
  const seen = new Set<string>()
  for (const { id, chamberId, lineId, part, lamp, speed } of sump.devices) {
    if (seen.has(id)) return `must give each device an id of its own; ${id} stands twice`
    seen.add(id)
    if (chamberId !== null && !sump.chambers.some((chamber) => chamber.id === chamberId)) {
      return `must name a chamber for ${id} that is there: there is no "${chamberId}"`
    }
    if (lineId !== null && !returnSide.lines.some((line) => line.id === lineId)) {
      return `must name a line for ${id} that is there: there is no "${lineId}"`
    }
    if ((part?.kind === 'sterilizer') !== (lamp !== null)) {
      return lamp === null
        ? `must say how the lamp of ${id} is`
        : `must have no lamp in ${id}: it is no sterilizer`
    }
    if (part?.control === 'fixed-speed' && speed !== 1) {
      return `must run ${id} at a speed of 1: it has one speed`
    }
  }
  return null
}
