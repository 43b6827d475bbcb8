import type { building } from '@yew-basin/core'

/** What an isometric shows of building when one step is being done. */
export interface Played {
  readonly stateOf: (partIds: readonly string[]) => 'done' | 'now' | 'later'
  readonly joints: ReadonlySet<string>
  /** Tanks and sump that do not stand yet. */
  readonly without: ReadonlySet<string>
}

/** All that was in hand before a step is done, its own is now; number zero: nothing is. */
export function playedAt(order: building.BuildSheet['order'], number: number): Played {
  const numbers = new Map<string, number>()
  for (const step of order.steps) for (const id of step.partIds) numbers.set(id, step.number)
  const step = order.steps.find((each) => each.number === number)
  return {
    stateOf: (partIds) => {
      const first = Math.min(...partIds.map((id) => numbers.get(id) ?? 0))
      if (partIds.length === 0) return 'done'
      if (first > number) return 'later'
      return first === number ? 'now' : 'done'
    },
    joints: new Set(step?.jointIds),
    without: new Set(
      order.steps.flatMap((each) =>
        each.boxId !== null && each.number > number ? [each.boxId] : [],
      ),
    ),
  }
}
