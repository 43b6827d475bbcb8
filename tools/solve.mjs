import { spawnSync } from 'node:child_process'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot } from './setup/paths.mjs'
import { reporting } from './setup/run.mjs'

// Standard output is for the answer alone, so what is said on the way goes to standard error.
await reporting(async () => {
  await ensurePackages((text) => console.error(`· ${text}`))
  const main = ['--import', 'tsx', '--conditions=source', inRoot('tools/solve/main.ts')]
  const { status } = spawnSync(process.execPath, [...main, ...process.argv.slice(2)], {
    stdio: 'inherit',
    cwd: process.env.INIT_CWD ?? process.cwd(),
    env: { ...process.env, TSX_TSCONFIG_PATH: inRoot('tsconfig.json') },
  })
  process.exitCode = status ?? 1
})
