import type { QueryInterface } from 'sequelize'

export const name = '002-sessions'

/** The table that the session store expects. */
export async function up(db: QueryInterface): Promise<void> {
  await db.sequelize.query(`
    CREATE TABLE session (
      sid varchar PRIMARY KEY,
      sess json NOT NULL,
      expire timestamp(6) NOT NULL
    );
    CREATE INDEX session_expire ON session (expire);
  `)
}
