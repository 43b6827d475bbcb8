import { QueryTypes, type Sequelize } from 'sequelize'
import { FUNCTIONS } from './functions.ts'

const ROLE = /^[a-z_][a-z0-9_]*$/

/**
 * What the application's own role may do: read and write its rows, delete only what can be made again, and call the
 * functions. Whatever it had before is taken away first.
 */
export async function grantTo(owner: Sequelize, role: string): Promise<void> {
  if (!ROLE.test(role)) throw new Error(`"${role}" is no role name`)
  const known = await owner.query('SELECT 1 FROM pg_roles WHERE rolname = :role', {
    replacements: { role },
    type: QueryTypes.SELECT,
  })
  if (known.length === 0) throw new Error(`the database has no role ${role}`)
  for (const { name, sql } of FUNCTIONS) {
    await owner.query(sql)
    await owner.query(
      `REVOKE ALL ON FUNCTION ${name} FROM PUBLIC; GRANT EXECUTE ON FUNCTION ${name} TO ${role}`,
    )
  }
  await owner.query(`
    REVOKE CREATE ON SCHEMA public FROM PUBLIC;
    REVOKE ALL ON ALL TABLES IN SCHEMA public FROM ${role};
    GRANT USAGE ON SCHEMA public TO ${role};
    GRANT SELECT ON parts, quotas, workspaces, history TO ${role};
    GRANT SELECT, INSERT, UPDATE ON basins, designs, own_parts, shopping TO ${role};
    GRANT SELECT, INSERT ON revisions TO ${role};
    GRANT SELECT, INSERT, UPDATE, DELETE ON session, fields TO ${role};
    REVOKE ALL ON FUNCTION use_quota(uuid, text, bigint) FROM PUBLIC;
  `)
}
