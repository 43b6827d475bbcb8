import { spawnSync } from 'node:child_process'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot, ROOT } from './setup/paths.mjs'
import { reporting } from './setup/run.mjs'

// Writes docs/format/ from the contract's classes and the core's types.
await reporting(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  const main = ['--import', 'tsx', '--conditions=source', inRoot('tools/formats/main.ts')]
  const { status } = spawnSync(process.execPath, main, {
    stdio: 'inherit',
    cwd: ROOT,
    env: { ...process.env, TSX_TSCONFIG_PATH: inRoot('tsconfig.json') },
  })
  process.exitCode = status ?? 1
})
