import { jointsAndBuilding } from './013-joints-and-building.ts'
import { partsAndPieces } from './012-parts-and-pieces.ts'
import { assumedFigures } from './011-assumed.ts'
import { sizesAndMeters } from './010-sizes-and-meters.ts'
import { keptTuned } from './009-kept-tuned.ts'
import { allowances } from './008-allowances.ts'
import { heatAndLoads } from './007-heat-and-loads.ts'
import { currents } from './006-currents.ts'
import { treatment } from './005-treatment.ts'
import { badDays } from './004-bad-days.ts'
import { theWayDown } from './003-the-way-down.ts'
import { tanksAndLines } from './002-tanks-and-lines.ts'

/** One step from a stored document's format to the next. Named for what it changes. */
export interface Migration {
  readonly name: string
  /** Takes a design document of the format before, gives one of the format after. */
  readonly up: (document: unknown) => unknown
}

/**
 * In order, without gaps: MIGRATIONS[0] turns format 1 into format 2. Every format keeps a frozen
 * sample in contract/test/frozen/.
 */
export const MIGRATIONS: readonly Migration[] = [
  { name: 'tanks-and-lines', up: tanksAndLines },
  { name: 'the-way-down', up: theWayDown },
  { name: 'bad-days', up: badDays },
  { name: 'treatment', up: treatment },
  { name: 'currents', up: currents },
  { name: 'heat-and-loads', up: heatAndLoads },
  { name: 'allowances', up: allowances },
  { name: 'kept-tuned', up: keptTuned },
  { name: 'sizes-and-meters', up: sizesAndMeters },
  { name: 'assumed-figures', up: assumedFigures },
  { name: 'parts-and-pieces', up: partsAndPieces },
  { name: 'joints-and-building', up: jointsAndBuilding },
]

/** A stored design document brought to the present format. */
export function migrated(document: unknown, fromVersion: number): unknown {
  return MIGRATIONS.slice(fromVersion - 1).reduce<unknown>(
    (before, migration) => migration.up(before),
    document,
  )
}
