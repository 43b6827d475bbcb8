import type { ListLine } from './line.ts'

/** A thing to add to the list. */
export type Item = Omit<ListLine, 'count' | 'spare' | 'uses' | 'pieceIds' | 'pipe' | 'panelM'> & {
  readonly use: string
  readonly pieceIds: readonly string[]
  readonly count?: number
  readonly pipe?: ListLine['pipe']
  readonly panelM?: ListLine['panelM']
}

/** What is known of one key so far. */
interface Counted {
  readonly first: Item
  count: number
  readonly uses: Set<string>
  readonly pieceIds: Set<string>
}

/** Counts things of one key together, in the order they come. */
export class Tally {
  private readonly counted = new Map<string, Counted>()

  add(item: Item): void {
    let own = this.counted.get(item.key)
    if (!own) {
      own = { first: item, count: 0, uses: new Set(), pieceIds: new Set() }
      this.counted.set(item.key, own)
    }
    own.count += item.count ?? 1
    own.uses.add(item.use)
    for (const id of item.pieceIds) own.pieceIds.add(id)
  }

  done(): ListLine[] {
    return [...this.counted.values()].map(({ first, count, uses, pieceIds }) => ({
      key: first.key,
      group: first.group,
      name: first.name,
      size: first.size,
      unit: first.unit,
      partId: first.partId,
      saltSafe: first.saltSafe,
      note: first.note,
      pipe: first.pipe ?? null,
      panelM: first.panelM ?? null,
      count,
      spare: 0,
      uses: [...uses],
      pieceIds: [...pieceIds],
    }))
  }
}
