import PgBoss from 'pg-boss'
import type { Sequelize } from 'sequelize'
import { QUEUES, SWEEP_AT } from './queue-names.ts'

/** Makes the queue's schema and tables as the owner; the application's role may use them and make none. */
export async function prepareQueues(
  owner: Sequelize,
  ownerUrl: string,
  appRole: string,
): Promise<void> {
  const boss = new PgBoss({ connectionString: ownerUrl, max: 2, supervise: false })
  boss.on('error', () => undefined)
  await boss.start()
  try {
    for (const [name, options] of Object.entries(QUEUES)) {
      if (!(await boss.getQueue(name))) await boss.createQueue(name, { name, ...options })
    }
    await boss.schedule('sweep', SWEEP_AT)
  } finally {
    await boss.stop({ graceful: false, wait: true })
  }
  await owner.query(`
    GRANT USAGE ON SCHEMA pgboss TO ${appRole};
    GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA pgboss TO ${appRole};
    GRANT EXECUTE ON ALL FUNCTIONS IN SCHEMA pgboss TO ${appRole};
  `)
}
