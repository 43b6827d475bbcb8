import { seedDemo } from '../demo/seed.ts'
import { connect } from './connect.ts'
import { grantTo, migrate } from './migrate.ts'

/** Brings a database up to date as its owner: migrations, rights, the demo once. Run before the server starts. */
export async function prepare(ownerUrl: string, appRole: string): Promise<string[]> {
  const owner = connect(ownerUrl)
  try {
    const ran = await migrate(owner)
    await grantTo(owner, appRole)
    await seedDemo(owner)
    return ran
  } finally {
    await owner.close()
  }
}
