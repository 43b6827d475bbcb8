import type { QueryInterface } from 'sequelize'

export const name = '006-currents'

/** Circulation pumps among the parts, and the fields of currents that were run for a design. */
export async function up(db: QueryInterface): Promise<void> {
  const kinds = `('pump', 'pipe', 'hose', 'fitting', 'valve', 'nozzle', 'bulkhead', 'skimmer',
    'sterilizer', 'heater', 'chiller', 'reactor', 'scrubber', 'flow-meter', 'circulation')`
  await db.sequelize.query(`
    ALTER TABLE parts DROP CONSTRAINT parts_kind_check;
    ALTER TABLE parts ADD CONSTRAINT parts_kind_check CHECK (kind IN ${kinds});
    ALTER TABLE own_parts DROP CONSTRAINT own_parts_kind_check;
    ALTER TABLE own_parts ADD CONSTRAINT own_parts_kind_check CHECK (kind IN ${kinds});

    CREATE TABLE fields (
      design_id uuid NOT NULL REFERENCES designs ON DELETE CASCADE,
      tank_id text NOT NULL CHECK (length(tank_id) BETWEEN 1 AND 64),
      bytes bytea NOT NULL CHECK (octet_length(bytes) <= 6000000),
      made_at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (design_id, tank_id)
    );
  `)
}
