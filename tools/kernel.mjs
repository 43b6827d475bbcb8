// Compiles core/kernel to the bytes that core carries; `--check` says whether they are what it compiles to.
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { inRoot, ROOT } from './setup/paths.mjs'

const SOURCE = 'core/kernel/lattice.ts'
const TARGET = 'core/src/lattice/kernel-bytes.ts'
const OPTIONS = [
  '-O3',
  '--converge',
  '--runtime',
  'stub',
  '--importMemory',
  '--noExportMemory',
  '--enable',
  'simd',
  '--enable',
  'bulk-memory',
]

const text = `/** Compiled from ${SOURCE} by \`npm run -s kernel\`: change it there. */\nexport const KERNEL_BASE64 =\n  '${compiled()}'\n`
if (!process.argv.includes('--check')) writeFileSync(inRoot(TARGET), text)
else if (readFileSync(inRoot(TARGET), 'utf8') !== text) {
  console.error(`${TARGET} is not what ${SOURCE} compiles to: run \`npm run -s kernel\``)
  process.exit(1)
}

/** By the compiler's own command: its types are those of another language, and stay out of ours. */
function compiled() {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'yew-basin-kernel-'))
  try {
    const out = path.join(folder, 'kernel.wasm')
    const compiler = inRoot('node_modules/assemblyscript/bin/asc.js')
    const { status, stderr } = spawnSync(
      process.execPath,
      [compiler, SOURCE, '--outFile', out, ...OPTIONS],
      { cwd: ROOT, encoding: 'utf8' },
    )
    if (status !== 0) throw new Error(`${SOURCE} does not compile:\n${stderr}`)
    return readFileSync(out).toString('base64')
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}
