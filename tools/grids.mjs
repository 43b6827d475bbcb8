import { spawnSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import { bundled } from './setup/bundle.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { ROOT } from './setup/paths.mjs'
import { reporting } from './setup/run.mjs'

/** Holds the standard field of each of the demo's tanks against the coarse one: `grids [seconds watched | view [names]]`. */
await reporting(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  const { outDir, file } = await bundled('tools/grids/main.ts')
  try {
    const [watched = 'view', ...names] = process.argv.slice(2)
    const { status } = spawnSync(process.execPath, [file, watched, ...names], {
      stdio: 'inherit',
      cwd: ROOT,
    })
    process.exitCode = status ?? 1
  } finally {
    rmSync(outDir, { recursive: true, force: true })
  }
})
