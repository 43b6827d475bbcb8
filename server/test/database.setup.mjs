import { mkdtempSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { Cluster } from '../../tools/setup/cluster.mjs'
import { APP_ROLE } from '../../tools/setup/roles.mjs'
import { inRoot } from '../../tools/setup/paths.mjs'
import { ensurePostgres } from '../../tools/setup/postgres.mjs'
import { must } from '../../tools/setup/run.mjs'

/** A throwaway cluster of the tests' own; each test file clones its template. */
export default async function setup() {
  const bin = await ensurePostgres((text) => console.log(text))
  const home = mkdtempSync(path.join(os.tmpdir(), 'yew-basin-test-'))
  const cluster = new Cluster({ bin, home, durable: false })
  await cluster.start()
  await must(
    { step: 'Preparing the test database', advice: 'read the error above.' },
    process.execPath,
    ['--import', 'tsx', '--conditions=source', inRoot('server/src/db/prepare-main.ts')],
    {
      env: {
        YEW_OWNER_URL: cluster.ownerUrl(),
        YEW_APP_ROLE: APP_ROLE,
        NODE_OPTIONS: '',
        TSX_TSCONFIG_PATH: inRoot('tsconfig.json'),
      },
    },
  )
  process.env.YEW_TEST_ADMIN_URL = cluster.adminUrl('{database}')
  process.env.YEW_TEST_OWNER_URL = cluster.ownerUrl('{database}')
  process.env.YEW_TEST_APP_URL = cluster.appUrl('{database}')
  globalThis.yewTestCluster = { cluster, home }
}
