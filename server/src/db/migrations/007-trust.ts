import type { QueryInterface } from 'sequelize'

export const name = '007-trust'

/** Everything kept has an owner in its own row, a revision, a bin and a history; each workspace its quotas. */
export async function up(db: QueryInterface): Promise<void> {
  for (const part of [COLUMNS, HISTORY, QUOTA_CHECKS, WALLS]) await db.sequelize.query(part)
}

const COLUMNS = `
  ALTER TABLE workspaces
    ADD COLUMN recovery_hash bytea UNIQUE,
    ADD COLUMN deleted_at timestamptz,
    ADD COLUMN basins integer NOT NULL DEFAULT 0,
    ADD COLUMN designs integer NOT NULL DEFAULT 0,
    ADD COLUMN parts integer NOT NULL DEFAULT 0,
    ADD COLUMN fields integer NOT NULL DEFAULT 0,
    ADD COLUMN bytes bigint NOT NULL DEFAULT 0;

  ALTER TABLE basins
    ADD COLUMN revision integer NOT NULL DEFAULT 1 CHECK (revision >= 1),
    ADD CONSTRAINT basins_with_owner UNIQUE (id, workspace_id);
  CREATE INDEX basins_deleted ON basins (deleted_at) WHERE deleted_at IS NOT NULL;

  ALTER TABLE designs
    ADD COLUMN workspace_id uuid,
    ADD COLUMN bytes integer NOT NULL DEFAULT 0,
    ADD COLUMN shelf_figures jsonb,
    ADD COLUMN figures_revision integer,
    ADD COLUMN figures_core text;
  UPDATE designs SET workspace_id = basins.workspace_id, bytes = octet_length(document::text)
    FROM basins WHERE basins.id = designs.basin_id;
  ALTER TABLE designs
    ALTER COLUMN workspace_id SET NOT NULL,
    ADD CONSTRAINT designs_with_owner UNIQUE (id, workspace_id),
    ADD CONSTRAINT designs_of_owner FOREIGN KEY (basin_id, workspace_id)
      REFERENCES basins (id, workspace_id) ON DELETE CASCADE;
  CREATE INDEX designs_of_workspace ON designs (workspace_id);

  ALTER TABLE revisions ADD COLUMN workspace_id uuid, ADD COLUMN bytes integer NOT NULL DEFAULT 0;
  UPDATE revisions SET workspace_id = designs.workspace_id, bytes = octet_length(revisions.document::text)
    FROM designs WHERE designs.id = revisions.design_id;
  ALTER TABLE revisions
    ALTER COLUMN workspace_id SET NOT NULL,
    ADD CONSTRAINT revisions_of_owner FOREIGN KEY (design_id, workspace_id)
      REFERENCES designs (id, workspace_id) ON DELETE CASCADE;

  ALTER TABLE fields ADD COLUMN workspace_id uuid;
  UPDATE fields SET workspace_id = designs.workspace_id FROM designs WHERE designs.id = fields.design_id;
  ALTER TABLE fields
    ALTER COLUMN workspace_id SET NOT NULL,
    ADD CONSTRAINT fields_of_owner FOREIGN KEY (design_id, workspace_id)
      REFERENCES designs (id, workspace_id) ON DELETE CASCADE;

  ALTER TABLE own_parts
    ADD COLUMN revision integer NOT NULL DEFAULT 1 CHECK (revision >= 1),
    ADD COLUMN deleted_at timestamptz;
  CREATE INDEX own_parts_deleted ON own_parts (deleted_at) WHERE deleted_at IS NOT NULL;
  CREATE INDEX session_of_workspace ON session ((sess->>'workspaceId'));
`

/** What a thing was before each change of it: the columns named where the trigger is made. */
const HISTORY = `
  CREATE TABLE history (
    thing text NOT NULL,
    id uuid NOT NULL,
    revision integer NOT NULL CHECK (revision >= 1),
    workspace_id uuid NOT NULL REFERENCES workspaces ON DELETE CASCADE,
    content jsonb NOT NULL,
    saved_at timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY (thing, id, revision)
  );
  CREATE INDEX history_of_workspace ON history (workspace_id);

  CREATE FUNCTION keep_history() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER
    SET search_path = public, pg_temp AS $$
  DECLARE
    old_row jsonb := to_jsonb(OLD);
    content jsonb := '{}';
    field text;
  BEGIN
    IF NEW.revision = OLD.revision THEN RETURN NEW; END IF;
    FOREACH field IN ARRAY TG_ARGV[1:] LOOP
      content := content || jsonb_build_object(field, old_row->field);
    END LOOP;
    INSERT INTO history (thing, id, revision, workspace_id, content)
      VALUES (TG_ARGV[0], OLD.id, OLD.revision, OLD.workspace_id, content);
    DELETE FROM history WHERE thing = TG_ARGV[0] AND id = OLD.id AND revision <= OLD.revision - 100;
    RETURN NEW;
  END $$;
  CREATE TRIGGER keeps_history BEFORE UPDATE ON basins
    FOR EACH ROW EXECUTE FUNCTION keep_history('basin', 'name', 'note');
  CREATE TRIGGER keeps_history BEFORE UPDATE ON own_parts
    FOR EACH ROW EXECUTE FUNCTION keep_history('part', 'kind', 'name', 'spec');
`

/** Counts are kept in the workspace's own row, whose lock makes the check and the adding one. */
const QUOTA_CHECKS = `
  CREATE TABLE quotas (name text PRIMARY KEY, most bigint NOT NULL CHECK (most >= 0));

  CREATE FUNCTION use_quota(owner uuid, quota text, delta bigint) RETURNS void
    LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
  DECLARE used bigint; allowed bigint;
  BEGIN
    IF delta = 0 THEN RETURN; END IF;
    EXECUTE format('UPDATE workspaces SET %I = %I + $1 WHERE id = $2 RETURNING %I', quota, quota, quota)
      INTO used USING delta, owner;
    IF delta < 0 OR used IS NULL THEN RETURN; END IF;
    SELECT most INTO allowed FROM quotas WHERE name = quota;
    IF used > allowed AND EXISTS (SELECT 1 FROM workspaces WHERE id = owner AND kind = 'guest') THEN
      RAISE EXCEPTION USING ERRCODE = 'YB001', MESSAGE = quota;
    END IF;
  END $$;

  CREATE FUNCTION count_living() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER
    SET search_path = public, pg_temp AS $$
  DECLARE
    before integer := CASE WHEN TG_OP = 'INSERT' OR OLD.deleted_at IS NOT NULL THEN 0 ELSE 1 END;
    after integer := CASE WHEN TG_OP = 'DELETE' OR NEW.deleted_at IS NOT NULL THEN 0 ELSE 1 END;
  BEGIN
    PERFORM use_quota(coalesce(NEW.workspace_id, OLD.workspace_id), TG_ARGV[0], after - before);
    RETURN NULL;
  END $$;
  CREATE FUNCTION count_all() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER
    SET search_path = public, pg_temp AS $$
  BEGIN
    PERFORM use_quota(coalesce(NEW.workspace_id, OLD.workspace_id), TG_ARGV[0],
      CASE WHEN TG_OP = 'INSERT' THEN 1 ELSE -1 END);
    RETURN NULL;
  END $$;
  CREATE TRIGGER counts AFTER INSERT OR DELETE OR UPDATE OF deleted_at ON basins
    FOR EACH ROW EXECUTE FUNCTION count_living('basins');
  CREATE TRIGGER counts AFTER INSERT OR DELETE ON designs
    FOR EACH ROW EXECUTE FUNCTION count_all('designs');
  CREATE TRIGGER counts AFTER INSERT OR DELETE OR UPDATE OF deleted_at ON own_parts
    FOR EACH ROW EXECUTE FUNCTION count_living('parts');
  CREATE TRIGGER counts AFTER INSERT OR DELETE ON fields
    FOR EACH ROW EXECUTE FUNCTION count_all('fields');

  CREATE FUNCTION count_document_bytes() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER
    SET search_path = public, pg_temp AS $$
  BEGIN
    IF TG_OP = 'INSERT' THEN PERFORM use_quota(NEW.workspace_id, 'bytes', NEW.bytes);
    ELSIF TG_OP = 'DELETE' THEN PERFORM use_quota(OLD.workspace_id, 'bytes', -OLD.bytes);
    ELSE PERFORM use_quota(NEW.workspace_id, 'bytes', NEW.bytes - OLD.bytes);
    END IF;
    RETURN NULL;
  END $$;
  CREATE TRIGGER counts_bytes AFTER INSERT OR DELETE OR UPDATE OF bytes ON designs
    FOR EACH ROW EXECUTE FUNCTION count_document_bytes();
  CREATE TRIGGER counts_bytes AFTER INSERT OR DELETE ON revisions
    FOR EACH ROW EXECUTE FUNCTION count_document_bytes();

  CREATE FUNCTION count_part_bytes() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER
    SET search_path = public, pg_temp AS $$
  BEGIN
    PERFORM use_quota(coalesce(NEW.workspace_id, OLD.workspace_id), 'bytes',
      CASE WHEN TG_OP = 'DELETE' THEN 0 ELSE octet_length(NEW.spec::text) END
      - CASE WHEN TG_OP = 'INSERT' THEN 0 ELSE octet_length(OLD.spec::text) END);
    RETURN NULL;
  END $$;
  CREATE TRIGGER counts_bytes AFTER INSERT OR DELETE OR UPDATE OF spec ON own_parts
    FOR EACH ROW EXECUTE FUNCTION count_part_bytes();

  CREATE FUNCTION count_field_bytes() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER
    SET search_path = public, pg_temp AS $$
  BEGIN
    PERFORM use_quota(coalesce(NEW.workspace_id, OLD.workspace_id), 'bytes',
      CASE WHEN TG_OP = 'DELETE' THEN 0 ELSE octet_length(NEW.bytes) END
      - CASE WHEN TG_OP = 'INSERT' THEN 0 ELSE octet_length(OLD.bytes) END);
    RETURN NULL;
  END $$;
  CREATE TRIGGER counts_bytes AFTER INSERT OR DELETE OR UPDATE OF bytes ON fields
    FOR EACH ROW EXECUTE FUNCTION count_field_bytes();

  UPDATE workspaces w SET
    basins = (SELECT count(*) FROM basins b WHERE b.workspace_id = w.id AND b.deleted_at IS NULL),
    designs = (SELECT count(*) FROM designs d WHERE d.workspace_id = w.id),
    parts = (SELECT count(*) FROM own_parts p WHERE p.workspace_id = w.id),
    fields = (SELECT count(*) FROM fields f WHERE f.workspace_id = w.id),
    bytes = (SELECT coalesce(sum(bytes), 0) FROM designs d WHERE d.workspace_id = w.id)
      + (SELECT coalesce(sum(bytes), 0) FROM revisions r WHERE r.workspace_id = w.id)
      + (SELECT coalesce(sum(octet_length(spec::text)), 0) FROM own_parts p WHERE p.workspace_id = w.id)
      + (SELECT coalesce(sum(octet_length(f.bytes)), 0) FROM fields f WHERE f.workspace_id = w.id);
`

/** The second wall: whoever asks without being the tables' owner sees the rows of one workspace, or none. */
const WALLS = `
  CREATE FUNCTION asking_workspace() RETURNS uuid LANGUAGE sql STABLE AS
    $$ SELECT nullif(current_setting('yew.workspace', true), '')::uuid $$;

  ALTER TABLE workspaces ENABLE ROW LEVEL SECURITY;
  CREATE POLICY own_only ON workspaces USING (id = asking_workspace());
  ALTER TABLE basins ENABLE ROW LEVEL SECURITY;
  CREATE POLICY own_only ON basins USING (workspace_id = asking_workspace());
  ALTER TABLE designs ENABLE ROW LEVEL SECURITY;
  CREATE POLICY own_only ON designs USING (workspace_id = asking_workspace());
  ALTER TABLE revisions ENABLE ROW LEVEL SECURITY;
  CREATE POLICY own_only ON revisions USING (workspace_id = asking_workspace());
  ALTER TABLE fields ENABLE ROW LEVEL SECURITY;
  CREATE POLICY own_only ON fields USING (workspace_id = asking_workspace());
  ALTER TABLE own_parts ENABLE ROW LEVEL SECURITY;
  CREATE POLICY own_only ON own_parts USING (workspace_id = asking_workspace());
  ALTER TABLE history ENABLE ROW LEVEL SECURITY;
  CREATE POLICY own_only ON history USING (workspace_id = asking_workspace());
`
