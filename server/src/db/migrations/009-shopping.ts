import type { QueryInterface } from 'sequelize'

export const name = '009-shopping'

/** What a keeper has already of a basin's list, what it costs, and what he ticked in the shop; a line a row. */
export async function up(db: QueryInterface): Promise<void> {
  await db.sequelize.query(`
    CREATE TABLE shopping (
      basin_id uuid NOT NULL,
      workspace_id uuid NOT NULL,
      key text NOT NULL CHECK (length(key) BETWEEN 1 AND 200),
      have double precision CHECK (have >= 0 AND have <= 10000),
      price double precision CHECK (price >= 0 AND price <= 100000),
      ticked_at timestamptz,
      ticked_by text CHECK (length(ticked_by) <= 40),
      changed_at timestamptz NOT NULL,
      PRIMARY KEY (basin_id, key),
      CONSTRAINT shopping_of_owner FOREIGN KEY (basin_id, workspace_id)
        REFERENCES basins (id, workspace_id) ON DELETE CASCADE
    );
    ALTER TABLE shopping ENABLE ROW LEVEL SECURITY;
    CREATE POLICY own_only ON shopping USING (workspace_id = asking_workspace());
  `)
}
