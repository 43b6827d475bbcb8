import { QUOTAS } from '@yew-basin/contract'
import type { Sequelize } from 'sequelize'
import { seedDemo } from '../demo/seed.ts'
import { prepareQueues } from '../job/prepare-queues.ts'
import { connect } from './connect.ts'
import { migrate } from './migrate.ts'
import { grantTo } from './rights.ts'

/** Brings a database up to date as its owner: migrations, rights, queues, the demo. Run before the server starts. */
export async function prepare(ownerUrl: string, appRole: string): Promise<string[]> {
  const owner = connect(ownerUrl)
  try {
    const ran = await migrate(owner)
    await setQuotas(owner)
    await grantTo(owner, appRole)
    await prepareQueues(owner, ownerUrl, appRole)
    await seedDemo(owner)
    return ran
  } finally {
    await owner.close()
  }
}

/** What the contract says a workspace may keep, where the database checks it. */
async function setQuotas(owner: Sequelize): Promise<void> {
  for (const [name, { most }] of Object.entries(QUOTAS)) {
    await owner.query(
      'INSERT INTO quotas (name, most) VALUES (:name, :most) ON CONFLICT (name) DO UPDATE SET most = :most',
      { replacements: { name, most } },
    )
  }
}
