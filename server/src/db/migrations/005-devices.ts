import type { QueryInterface } from 'sequelize'

export const name = '005-devices'

/** Skimmers, sterilizers and the rest of the equipment among the parts. */
export async function up(db: QueryInterface): Promise<void> {
  const kinds = `('pump', 'pipe', 'hose', 'fitting', 'valve', 'nozzle', 'bulkhead', 'skimmer',
    'sterilizer', 'heater', 'chiller', 'reactor', 'scrubber', 'flow-meter')`
  await db.sequelize.query(`
    ALTER TABLE parts DROP CONSTRAINT parts_kind_check;
    ALTER TABLE parts ADD CONSTRAINT parts_kind_check CHECK (kind IN ${kinds});
    ALTER TABLE own_parts DROP CONSTRAINT own_parts_kind_check;
    ALTER TABLE own_parts ADD CONSTRAINT own_parts_kind_check CHECK (kind IN ${kinds});
  `)
}
