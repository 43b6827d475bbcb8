import { spawn } from 'node:child_process'
import { rmSync } from 'node:fs'
import os from 'node:os'
import { bundled } from './setup/bundle.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { ROOT } from './setup/paths.mjs'
import { reporting } from './setup/run.mjs'

/** So many likely designs where nothing else is asked for. */
const DESIGNS = 300

const ended = (child) => new Promise((resolve) => child.on('close', (code) => resolve(code ?? 1)))

/** The long form of the test that nothing called fine floods, over all cores: `verdicts [how many [from which]]`. */
await reporting(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  const { outDir, file } = await bundled('tools/verdicts/main.ts')
  try {
    const [most = DESIGNS, first = 1] = process.argv.slice(2).map(Number)
    const parts = Math.min(most, os.availableParallelism())
    const share = Math.ceil(most / parts)
    const children = Array.from({ length: parts }, (_, i) => {
      const count = Math.min(share, most - i * share)
      const args = [file, String(count), String(first + i * share)]
      return spawn(process.execPath, args, { stdio: 'inherit', cwd: ROOT })
    })
    const codes = await Promise.all(children.map(ended))
    process.exitCode = Math.max(...codes)
  } finally {
    rmSync(outDir, { recursive: true, force: true })
  }
})
