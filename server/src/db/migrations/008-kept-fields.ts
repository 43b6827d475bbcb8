import type { QueryInterface } from 'sequelize'

export const name = '008-kept-fields'

/** Beside the last field of a tank, those that a keeper keeps by a name, to be compared. The last one has none. */
export async function up(db: QueryInterface): Promise<void> {
  await db.sequelize.query(`
    ALTER TABLE fields ADD COLUMN name text NOT NULL DEFAULT '' CHECK (length(name) <= 80);
    ALTER TABLE fields DROP CONSTRAINT fields_pkey;
    ALTER TABLE fields ADD PRIMARY KEY (design_id, tank_id, name);
  `)
}
