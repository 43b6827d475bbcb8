import type { QueryInterface, Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import * as first from './migrations/001-workspaces-basins-designs.ts'
import * as second from './migrations/002-sessions.ts'
import * as third from './migrations/003-own-parts.ts'
import * as fourth from './migrations/004-bulkheads.ts'
import * as fifth from './migrations/005-devices.ts'
import * as sixth from './migrations/006-currents.ts'
import * as seventh from './migrations/007-trust.ts'
import * as eighth from './migrations/008-kept-fields.ts'
import * as ninth from './migrations/009-shopping.ts'

/** In order; a name never changes once it has run anywhere. */
const MIGRATIONS: readonly { name: string; up: (db: QueryInterface) => Promise<void> }[] = [
  first,
  second,
  third,
  fourth,
  fifth,
  sixth,
  seventh,
  eighth,
  ninth,
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
