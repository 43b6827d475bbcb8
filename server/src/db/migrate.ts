import { QueryTypes, type QueryInterface, type Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import * as first from './migrations/001-workspaces-basins-designs.ts'
import * as second from './migrations/002-sessions.ts'
import * as third from './migrations/003-own-parts.ts'
import * as fourth from './migrations/004-bulkheads.ts'
import * as fifth from './migrations/005-devices.ts'
import * as sixth from './migrations/006-currents.ts'

/** In order; a name never changes once it has run anywhere. */
const MIGRATIONS: readonly { name: string; up: (db: QueryInterface) => Promise<void> }[] = [
  first,
  second,
  third,
  fourth,
  fifth,
  sixth,
]

/** Runs what has not run yet, as the tables' owner. Gives the names that ran. */
export async function migrate(owner: Sequelize): Promise<string[]> {
  const context = owner.getQueryInterface()
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({ name, up: () => up(context) })),
    storage: new SequelizeStorage({ sequelize: owner }),
    context,
    logger: undefined,
  })
  return (await umzug.up()).map((migration) => migration.name)
}

const ROLE = /^[a-z_][a-z0-9_]*$/

/** Lets the application's own role read and write rows, and nothing more. */
export async function grantTo(owner: Sequelize, role: string): Promise<void> {
  if (!ROLE.test(role)) throw new Error(`"${role}" is no role name`)
  const known = await owner.query('SELECT 1 FROM pg_roles WHERE rolname = :role', {
    replacements: { role },
    type: QueryTypes.SELECT,
  })
  if (known.length === 0) throw new Error(`the database has no role ${role}`)
  await owner.query(`
    GRANT USAGE ON SCHEMA public TO ${role};
    GRANT SELECT, INSERT, UPDATE, DELETE ON workspaces, basins, designs, revisions, session, own_parts, fields TO ${role};
    GRANT SELECT ON parts TO ${role};
  `)
}
