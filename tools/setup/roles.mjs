/** Made by initdb: only the start itself connects as this one, to make the others and to prove what runs here. */
export const ADMIN = 'yew_admin'
/** Owns the tables and changes them; no superuser. */
export const OWNER = 'yew_owner'
/** What the server connects as. */
export const APP_ROLE = 'yew_app'
export const DATABASE = 'yew_basin'

const connected = async (url, act) => {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url })
  client.on('error', () => {})
  await client.connect()
  try {
    return await act(client)
  } finally {
    await client.end()
  }
}

const has = async (client, sql, name) => (await client.query(sql, [name])).rowCount > 0
const hasRole = (client, name) => has(client, 'SELECT 1 FROM pg_roles WHERE rolname = $1', name)

/** Roles and database as they must be, made where they are missing. Can be broken off anywhere and run again. */
export async function ensureRoles(adminUrl, { ownerPassword, appPassword }) {
  await connected(adminUrl('postgres'), async (client) => {
    for (const [role, password] of [
      [OWNER, ownerPassword],
      [APP_ROLE, appPassword],
    ]) {
      if (await hasRole(client, role)) continue
      await client.query(`CREATE ROLE ${role} LOGIN PASSWORD ${client.escapeLiteral(password)}`)
    }
    const found = 'SELECT 1 FROM pg_database WHERE datname = $1'
    if (!(await has(client, found, DATABASE)))
      await client.query(`CREATE DATABASE ${DATABASE} OWNER ${OWNER}`)
  })
  await connected(adminUrl(DATABASE), (client) => ownAll(client))
}

/** Everything the application made is its owner's. */
async function ownAll(client) {
  await client.query(
    `ALTER DATABASE ${DATABASE} OWNER TO ${OWNER}; ALTER SCHEMA public OWNER TO ${OWNER}`,
  )
  const { rows } = await client.query(
    `SELECT oid::regclass::text AS name FROM pg_class
     WHERE relkind IN ('r', 'p', 'v') AND relnamespace = 'public'::regnamespace
       AND relowner <> $1::regrole`,
    [OWNER],
  )
  for (const { name } of rows) await client.query(`ALTER TABLE ${name} OWNER TO ${OWNER}`)
}

/**
 * A database of before had a superuser for an owner, the very one that initdb made: that one becomes the admin, and
 * a plain owner takes its place. Each step stands alone, so that a broken-off one is taken up again.
 */
export async function demoteOwner(ownerUrl, adminUrl, { adminPassword, ownerPassword }) {
  const helper = 'yew_helper'
  await connected(ownerUrl('postgres'), async (client) => {
    const password = client.escapeLiteral(adminPassword)
    if (!(await hasRole(client, helper)))
      await client.query(`CREATE ROLE ${helper} SUPERUSER LOGIN PASSWORD ${password}`)
  })
  const helperUrl = adminUrl('postgres').replace(`//${ADMIN}:`, `//${helper}:`)
  await connected(helperUrl, async (client) => {
    const [admin, owner] = [adminPassword, ownerPassword].map((text) => client.escapeLiteral(text))
    await client.query(
      `BEGIN; ALTER ROLE ${OWNER} RENAME TO ${ADMIN}; ALTER ROLE ${ADMIN} PASSWORD ${admin};
       CREATE ROLE ${OWNER} LOGIN PASSWORD ${owner}; COMMIT`,
    )
  })
  await connected(adminUrl('postgres'), (client) => client.query(`DROP ROLE ${helper}`))
}
