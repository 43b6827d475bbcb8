import type { BasinDesign, PumpPart } from '@yew-basin/core'

/**
 * The pumps to choose from for a design. A pump that the design has stands there as the design has it: of
 * one pump there are never two truths, and a part that was changed since is offered by itself.
 */
export function pumpsFor(
  { pumps }: Pick<BasinDesign, 'pumps'>,
  kept: readonly PumpPart[],
): readonly PumpPart[] {
  const ownOf = (part: PumpPart) =>
    pumps.find(({ id, partId }) => partId === part.partId || id === part.id)
  const entered = pumps.filter((own) => !kept.some((part) => ownOf(part) === own))
  return [...entered, ...kept.map((part) => ownOf(part) ?? part)]
}
