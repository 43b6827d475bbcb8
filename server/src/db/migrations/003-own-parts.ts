import type { QueryInterface } from 'sequelize'

export const name = '003-own-parts'

/** More kinds in the sample library, and a table for what keepers keep of their own. */
export async function up(db: QueryInterface): Promise<void> {
  await db.sequelize.query(`
    ALTER TABLE parts DROP CONSTRAINT parts_kind_check;
    ALTER TABLE parts ADD CONSTRAINT parts_kind_check
      CHECK (kind IN ('pump', 'pipe', 'hose', 'fitting', 'valve', 'nozzle'));

    CREATE TABLE own_parts (
      id uuid PRIMARY KEY,
      workspace_id uuid NOT NULL REFERENCES workspaces ON DELETE CASCADE,
      kind text NOT NULL CHECK (kind IN ('pump', 'pipe', 'hose', 'fitting', 'valve', 'nozzle')),
      name text NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
      spec jsonb NOT NULL CHECK (jsonb_typeof(spec) = 'object'),
      created_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX own_parts_of_workspace ON own_parts (workspace_id);
  `)
}
