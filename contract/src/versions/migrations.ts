/** One step from a stored document's format to the next. Named for what it changes. */
export interface Migration {
  readonly name: string
  /** Takes a design document of the format before, gives one of the format after. */
  readonly up: (document: unknown) => unknown
}

/**
 * In order, without gaps: MIGRATIONS[0] turns format 1 into format 2. Format 1 is the first, so
 * there are none yet. Every format keeps a frozen sample in contract/test/frozen/.
 */
export const MIGRATIONS: readonly Migration[] = []

/** A stored design document brought to the present format. */
export function migrated(document: unknown, fromVersion: number): unknown {
  return MIGRATIONS.slice(fromVersion - 1).reduce<unknown>(
    (before, migration) => migration.up(before),
    document,
  )
}
