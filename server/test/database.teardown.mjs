import { rmSync } from 'node:fs'

export default async function teardown() {
  const { cluster, home } = globalThis.yewTestCluster
  await cluster.stop()
  rmSync(home, { recursive: true, force: true })
}
