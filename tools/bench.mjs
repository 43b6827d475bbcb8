import { spawnSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import { bundled } from './setup/bundle.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { ROOT } from './setup/paths.mjs'
import { reporting } from './setup/run.mjs'

/** Each in a process of its own: a basin's recalculation and the network solver alone, what the page's own thread does besides, what its workers do. */
const PARTS = [
  ['recalculation', 'Lantern'],
  ['recalculation', 'Thimble'],
  ['recalculation', 'Two Sisters'],
  ['solver'],
  ['page'],
  ['workers'],
]

await reporting(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  for (const [part, ...given] of PARTS) {
    const { outDir, file } = await bundled(`tools/bench/${part}.ts`)
    try {
      const { status } = spawnSync(process.execPath, [file, ...given], {
        stdio: 'inherit',
        cwd: ROOT,
      })
      process.exitCode ||= status ?? 1
    } finally {
      rmSync(outDir, { recursive: true, force: true })
    }
  }
})
