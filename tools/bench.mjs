import { spawnSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import { bundled } from './setup/bundle.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { ROOT } from './setup/paths.mjs'
import { reporting } from './setup/run.mjs'

/** One for what the page's own thread does, one for what its workers do. */
const PARTS = ['page', 'workers']

await reporting(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  for (const part of PARTS) {
    const { outDir, file } = await bundled(`tools/bench/${part}.ts`)
    try {
      const { status } = spawnSync(process.execPath, [file], { stdio: 'inherit', cwd: ROOT })
      process.exitCode ||= status ?? 1
    } finally {
      rmSync(outDir, { recursive: true, force: true })
    }
  }
})
