import { spawnSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import { bundled } from './setup/bundle.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { ROOT } from './setup/paths.mjs'
import { reporting } from './setup/run.mjs'

/** What the standard field of each of the demo's tanks and the coarse one differ by when both are watched for long; of those named. */
await reporting(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  const { outDir, file } = await bundled('tools/grids/main.ts')
  try {
    const names = process.argv.slice(2)
    const { status } = spawnSync(process.execPath, [file, ...names], {
      stdio: 'inherit',
      cwd: ROOT,
    })
    process.exitCode = status ?? 1
  } finally {
    rmSync(outDir, { recursive: true, force: true })
  }
})
