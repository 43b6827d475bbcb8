import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { inRoot } from './setup/paths.mjs'

const PACKAGES = ['core', 'contract', 'server', 'web']
/** Every migration exports the same names: its runner asks for them. */
const ALIKE = path.join('db', 'migrations')
const EXPORTED =
  /^export (?:declare )?(?:async )?(?:abstract )?(?:const|let|function\*?|class|interface|type|enum) (\w+)/gm

function sources(folder) {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter(
      (entry) => entry.isFile() && /\.(ts|vue)$/.test(entry.name) && entry.name !== 'index.ts',
    )
    .map(({ parentPath, name }) => path.join(parentPath, name))
    .filter((file) => !file.includes(ALIKE))
}

// Lists exported names that stand for two things; fails where there is one.
const files = new Map()
for (const file of PACKAGES.flatMap((name) => sources(inRoot(name, 'src')))) {
  for (const [, name] of readFileSync(file, 'utf8').matchAll(EXPORTED)) {
    const where = files.get(name) ?? new Set()
    files.set(name, where.add(path.relative(inRoot(), file)))
  }
}
const twice = [...files].filter(([, where]) => where.size > 1)
for (const [name, where] of twice) console.log(`  ${name}: ${[...where].join(', ')}`)
console.log(`  exported names: ${files.size}, ${twice.length} of them stand for two things`)
process.exitCode = twice.length > 0 ? 1 : 0
