import { spawnSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import { bundled } from './setup/bundle.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot, ROOT } from './setup/paths.mjs'
import { reporting } from './setup/run.mjs'

/** The long form of the test that bands hold: writes docs/model/bands.md. */
await reporting(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  const { outDir, file } = await bundled('tools/bands/main.ts')
  try {
    const into = inRoot('docs', 'model', 'bands.md')
    const { status } = spawnSync(process.execPath, [file, into], { stdio: 'inherit', cwd: ROOT })
    process.exitCode = status ?? 1
  } finally {
    rmSync(outDir, { recursive: true, force: true })
  }
})
