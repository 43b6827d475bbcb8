import { spawnSync } from 'node:child_process'
import { readFileSync, rmSync, writeFileSync } from 'node:fs'
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
    const { default: prettier } = await import('prettier')
    const own = await prettier.resolveConfig(into)
    const text = await prettier.format(readFileSync(into, 'utf8'), { ...own, filepath: into })
    writeFileSync(into, text)
  } finally {
    rmSync(outDir, { recursive: true, force: true })
  }
})
