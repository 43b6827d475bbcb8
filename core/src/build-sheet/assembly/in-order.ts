/** One step comes before another, and why. */
export interface Before<Why> {
  readonly first: string
  readonly then: string
  readonly why: Why
}

/** Steps in an order that breaks no constraint; those that wait for each other, if any do. */
export interface Ordered {
  readonly order: readonly string[]
  /** Steps that are in a ring of constraints, or wait for one; none: all are in order. */
  readonly stuck: readonly string[]
}

/**
 * Puts steps in order (Kahn 1962): of those that wait for nothing, always the one of the least rank, then the
 * first as given.
 */
export function putInOrder(
  ids: readonly string[],
  constraints: readonly Pick<Before<unknown>, 'first' | 'then'>[],
  rankOf: (id: string) => number,
): Ordered {
  const waits = new Map(ids.map((id) => [id, 0]))
  const after = new Map<string, string[]>()
  for (const { first, then } of constraints) {
    waits.set(then, waits.get(then)! + 1)
    after.set(first, [...(after.get(first) ?? []), then])
  }
  const open = ids.filter((id) => waits.get(id) === 0)
  const order: string[] = []
  while (open.length > 0) {
    const at = open.reduce((best, id, i) => (rankOf(id) < rankOf(open[best]!) ? i : best), 0)
    const [id] = open.splice(at, 1)
    order.push(id!)
    for (const then of after.get(id!) ?? []) {
      waits.set(then, waits.get(then)! - 1)
      if (waits.get(then) === 0) open.push(then)
    }
  }
  return { order, stuck: ids.filter((id) => waits.get(id)! > 0) }
}
