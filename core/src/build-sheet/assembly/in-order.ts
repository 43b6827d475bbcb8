/** One step comes before another, and why. */
export interface Before<Why> {
  readonly first: string
  readonly next: string
  readonly why: Why
}

/** Steps in an order that breaks no constraint; those that wait for each other, if any do. */
export interface Ordered {
  readonly order: readonly string[]
  /** Steps that are in a ring of constraints, or wait for one; none: all are in order. */
  readonly stuck: readonly string[]
}

/**
 * Puts steps in order (Kahn 1962): of those that wait for nothing, always the one of the least rank, of equal
 * ones the first as given.
 */
export function putInOrder(
  ids: readonly string[],
  constraints: readonly Pick<Before<unknown>, 'first' | 'next'>[],
  rankOf: (id: string) => number,
): Ordered {
  const waits = new Map(ids.map((id) => [id, 0]))
  const after = new Map<string, string[]>()
  for (const { first, next } of constraints) {
    waits.set(next, waits.get(next)! + 1)
    after.set(first, [...(after.get(first) ?? []), next])
  }
  const open = ids.filter((id) => waits.get(id) === 0)
  const order: string[] = []
  while (open.length > 0) {
    const at = open.reduce((best, id, i) => (rankOf(id) < rankOf(open[best]!) ? i : best), 0)
    const [id] = open.splice(at, 1)
    order.push(id!)
    for (const next of after.get(id!) ?? []) {
      waits.set(next, waits.get(next)! - 1)
      if (waits.get(next) === 0) open.push(next)
    }
  }
  return { order, stuck: ids.filter((id) => waits.get(id)! > 0) }
}
