/**
 * What the application's role may do beyond reading and writing its own rows. Each belongs to the tables' owner,
 * runs with the owner's rights, and asks for the right itself. Made anew at every start.
 */
export const FUNCTIONS = [
  {
    name: 'new_guest()',
    // A guest's first shelf is a copy of the demo, in the demo's order.
    sql: `
      CREATE OR REPLACE FUNCTION new_guest() RETURNS TABLE (id uuid, created_at timestamptz)
      LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
      DECLARE guest uuid := gen_random_uuid(); demo record; copy uuid;
      BEGIN
        INSERT INTO workspaces (id, kind) VALUES (guest, 'guest');
        FOR demo IN
          SELECT b.* FROM basins b JOIN workspaces w ON w.id = b.workspace_id
          WHERE w.kind = 'demo' AND b.deleted_at IS NULL ORDER BY b.created_at, b.id
        LOOP
          copy := gen_random_uuid();
          INSERT INTO basins (id, workspace_id, name, note, created_at)
            VALUES (copy, guest, demo.name, demo.note, clock_timestamp());
          INSERT INTO designs (id, basin_id, workspace_id, name, is_current, format_version, document,
              bytes, shelf_figures, figures_revision, figures_core)
            SELECT gen_random_uuid(), copy, guest, d.name, d.is_current, d.format_version, d.document,
              d.bytes, d.shelf_figures, CASE WHEN d.figures_revision = d.revision THEN 1 END, d.figures_core
            FROM designs d WHERE d.basin_id = demo.id;
          INSERT INTO revisions (design_id, workspace_id, revision, format_version, document, bytes, saved_at)
            SELECT d.id, guest, 1, d.format_version, d.document, d.bytes, d.saved_at
            FROM designs d WHERE d.basin_id = copy;
        END LOOP;
        RETURN QUERY SELECT w.id, w.created_at FROM workspaces w WHERE w.id = guest;
      END $$;`,
  },
  {
    name: 'set_recovery(uuid, bytea)',
    // Right: the workspace is the asking one.
    sql: `
      CREATE OR REPLACE FUNCTION set_recovery(workspace uuid, hash bytea) RETURNS boolean
      LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
      BEGIN
        PERFORM set_config('yew.workspace', workspace::text, true);
        UPDATE workspaces SET recovery_hash = hash
          WHERE id = workspace AND kind = 'guest' AND deleted_at IS NULL;
        RETURN FOUND;
      END $$;`,
  },
  {
    name: 'workspace_of_key(bytea)',
    // Right: whoever has the key. What lay in the bin for want of a session is taken out again.
    sql: `
      CREATE OR REPLACE FUNCTION workspace_of_key(hash bytea) RETURNS uuid
      LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp AS $$
        UPDATE workspaces SET deleted_at = NULL
        WHERE recovery_hash = hash AND kind = 'guest' RETURNING id
      $$;`,
  },
  {
    name: 'thin_revisions(uuid, uuid, integer)',
    // Right: the design is the workspace's. Keeps all of a day, then one an hour for a month, then one a day, and
    // the newest of them always.
    sql: `
      CREATE OR REPLACE FUNCTION thin_revisions(workspace uuid, design uuid, always integer) RETURNS integer
      LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
      DECLARE gone integer;
      BEGIN
        DELETE FROM revisions r WHERE r.design_id = design AND r.workspace_id = workspace AND r.revision IN (
          SELECT revision FROM (
            SELECT revision, saved_at,
              row_number() OVER (ORDER BY revision DESC) AS age_rank,
              row_number() OVER (
                PARTITION BY CASE WHEN saved_at > now() - interval '30 days'
                  THEN date_trunc('hour', saved_at) ELSE date_trunc('day', saved_at) END
                ORDER BY revision DESC) AS in_bucket
            FROM revisions WHERE design_id = design AND workspace_id = workspace
          ) kept
          WHERE age_rank > greatest(always, 20) AND in_bucket > 1 AND saved_at < now() - interval '1 day');
        GET DIAGNOSTICS gone = ROW_COUNT;
        RETURN gone;
      END $$;`,
  },
  {
    name: 'empty_bin(uuid)',
    // Right: only what the workspace itself has put into its bin.
    sql: `
      CREATE OR REPLACE FUNCTION empty_bin(workspace uuid) RETURNS integer
      LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
      DECLARE basins_gone integer; parts_gone integer;
      BEGIN
        IF workspace IS NULL THEN RETURN 0; END IF;
        DELETE FROM history h WHERE h.workspace_id = workspace AND (
          h.id IN (SELECT id FROM basins b WHERE b.workspace_id = workspace AND b.deleted_at IS NOT NULL)
          OR h.id IN (SELECT id FROM own_parts p WHERE p.workspace_id = workspace AND p.deleted_at IS NOT NULL));
        DELETE FROM basins WHERE workspace_id = workspace AND deleted_at IS NOT NULL;
        GET DIAGNOSTICS basins_gone = ROW_COUNT;
        DELETE FROM own_parts WHERE workspace_id = workspace AND deleted_at IS NOT NULL;
        GET DIAGNOSTICS parts_gone = ROW_COUNT;
        RETURN basins_gone + parts_gone;
      END $$;`,
  },
  {
    name: 'sweep(integer, integer, integer)',
    // Right: nothing that anybody can still reach. A guest nobody can come back to goes to the bin, what lay there
    // long enough goes for good; a few at a time, so that nobody waits behind it.
    sql: `
      CREATE OR REPLACE FUNCTION sweep(bin_days integer, young_days integer, at_a_time integer)
      RETURNS TABLE (binned integer, gone integer)
      LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
      DECLARE more integer; old timestamptz := now() - make_interval(days => greatest(bin_days, 30));
      BEGIN
        gone := 0;
        DELETE FROM session WHERE expire < now();
        UPDATE workspaces SET deleted_at = now() WHERE id IN (
          SELECT w.id FROM workspaces w
          WHERE w.kind = 'guest' AND w.deleted_at IS NULL AND w.recovery_hash IS NULL
            AND w.created_at < now() - make_interval(days => greatest(young_days, 2))
            AND NOT EXISTS (SELECT 1 FROM session s WHERE s.sess->>'workspaceId' = w.id::text)
          ORDER BY w.created_at LIMIT at_a_time);
        GET DIAGNOSTICS binned = ROW_COUNT;
        DELETE FROM workspaces WHERE id IN (
          SELECT w.id FROM workspaces w
          WHERE w.kind = 'guest' AND w.deleted_at < old AND w.recovery_hash IS NULL
          ORDER BY w.deleted_at LIMIT at_a_time);
        GET DIAGNOSTICS more = ROW_COUNT; gone := gone + more;
        DELETE FROM basins WHERE id IN (
          SELECT b.id FROM basins b WHERE b.deleted_at < old ORDER BY b.deleted_at LIMIT at_a_time);
        GET DIAGNOSTICS more = ROW_COUNT; gone := gone + more;
        DELETE FROM own_parts WHERE id IN (
          SELECT p.id FROM own_parts p WHERE p.deleted_at < old ORDER BY p.deleted_at LIMIT at_a_time);
        GET DIAGNOSTICS more = ROW_COUNT; gone := gone + more;
        RETURN NEXT;
      END $$;`,
  },
  {
    name: 'save_design(uuid, uuid, integer, integer, text)',
    // One round trip a save, with the caller's own rights. Gives the new state, or what stands there instead.
    sql: `
      CREATE OR REPLACE FUNCTION save_design(workspace uuid, design uuid, changed integer, format integer,
        sent text)
      RETURNS TABLE (saved boolean, name text, revision integer, saved_at timestamptz,
        format_version integer, document jsonb)
      LANGUAGE plpgsql SECURITY INVOKER SET search_path = public, pg_temp AS $$
      DECLARE whole jsonb := sent::jsonb; at_now timestamptz := clock_timestamp();
      BEGIN
        PERFORM set_config('yew.workspace', workspace::text, true);
        UPDATE designs d SET document = whole, format_version = format, revision = changed + 1,
            saved_at = at_now, bytes = octet_length(sent)
          FROM basins b
          WHERE d.id = design AND d.revision = changed AND b.id = d.basin_id AND b.deleted_at IS NULL;
        IF FOUND THEN
          INSERT INTO revisions (design_id, workspace_id, revision, format_version, document, bytes, saved_at)
            VALUES (design, workspace, changed + 1, format, whole, octet_length(sent), at_now);
          DELETE FROM fields f WHERE f.design_id = design AND NOT EXISTS (
            SELECT 1 FROM jsonb_array_elements(whole->'tanks') t WHERE t->>'id' = f.tank_id);
          RETURN QUERY SELECT true, ''::text, changed + 1, at_now, format, NULL::jsonb;
        ELSE
          RETURN QUERY SELECT false, d.name, d.revision, d.saved_at, d.format_version, d.document
            FROM designs d JOIN basins b ON b.id = d.basin_id AND b.deleted_at IS NULL WHERE d.id = design;
        END IF;
      END $$;`,
  },
] as const
