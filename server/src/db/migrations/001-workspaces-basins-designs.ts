import type { QueryInterface } from 'sequelize'

export const name = '001-workspaces-basins-designs'

/** Owners, basins, their designs with every kept revision, and the sample library. */
export async function up(db: QueryInterface): Promise<void> {
  await db.sequelize.query(`
    CREATE TABLE workspaces (
      id uuid PRIMARY KEY,
      kind text NOT NULL CHECK (kind IN ('guest', 'demo')),
      created_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE UNIQUE INDEX one_demo_workspace ON workspaces (kind) WHERE kind = 'demo';

    CREATE TABLE basins (
      id uuid PRIMARY KEY,
      workspace_id uuid NOT NULL REFERENCES workspaces ON DELETE CASCADE,
      name text NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
      note text NOT NULL CHECK (length(note) <= 2000),
      deleted_at timestamptz,
      created_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX basins_of_workspace ON basins (workspace_id) WHERE deleted_at IS NULL;

    CREATE TABLE designs (
      id uuid PRIMARY KEY,
      basin_id uuid NOT NULL REFERENCES basins ON DELETE CASCADE,
      name text NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
      is_current boolean NOT NULL,
      format_version integer NOT NULL CHECK (format_version >= 1),
      document jsonb NOT NULL CHECK (jsonb_typeof(document) = 'object'),
      revision integer NOT NULL DEFAULT 1 CHECK (revision >= 1),
      saved_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX designs_of_basin ON designs (basin_id);
    CREATE UNIQUE INDEX one_current_design ON designs (basin_id) WHERE is_current;

    CREATE TABLE revisions (
      design_id uuid NOT NULL REFERENCES designs ON DELETE CASCADE,
      revision integer NOT NULL CHECK (revision >= 1),
      format_version integer NOT NULL CHECK (format_version >= 1),
      document jsonb NOT NULL CHECK (jsonb_typeof(document) = 'object'),
      saved_at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (design_id, revision)
    );

    CREATE TABLE parts (
      id text PRIMARY KEY,
      kind text NOT NULL CHECK (kind IN ('pump')),
      name text NOT NULL,
      spec jsonb NOT NULL CHECK (jsonb_typeof(spec) = 'object'),
      position integer NOT NULL,
      UNIQUE (kind, position)
    );
  `)
}
