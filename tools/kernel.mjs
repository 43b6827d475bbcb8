// Compiles core/kernel to the bytes that core carries; `--check` says whether they are what it compiles to.
import { readFileSync, writeFileSync } from 'node:fs'
import asc from 'assemblyscript/asc'

const SOURCE = 'core/kernel/lattice.ts'
const TARGET = 'core/src/lattice/kernel-bytes.ts'
const OPTIONS = [
  ...['-O3', '--converge', '--runtime', 'stub'],
  ...['--importMemory', '--noExportMemory', '--enable', 'simd', '--enable', 'bulk-memory'],
]

const text = `// Compiled from ${SOURCE} by \`npm run -s kernel\`: change it there.\nexport const KERNEL_BASE64 =\n  '${await compiled()}'\n`
if (!process.argv.includes('--check')) writeFileSync(TARGET, text)
else if (readFileSync(TARGET, 'utf8') !== text) {
  console.error(`${TARGET} is not what ${SOURCE} compiles to: run \`npm run -s kernel\``)
  process.exit(1)
}

async function compiled() {
  let bytes
  const { error, stderr } = await asc.main([SOURCE, '--outFile', 'kernel.wasm', ...OPTIONS], {
    writeFile: (_name, contents) => (bytes = contents),
  })
  if (error) throw new Error(`${SOURCE} does not compile: ${error.message}\n${stderr.toString()}`)
  return Buffer.from(bytes).toString('base64')
}
