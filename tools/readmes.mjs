import { existsSync, readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { inRoot } from './setup/paths.mjs'

/** A line of prose is at most a few sentences. */
const MOST_LETTERS = 400

const NOT_OURS = new Set(['node_modules', 'dist', 'test-results'])

/** Every document below a folder, by its path from the root. */
function documents(folder) {
  return readdirSync(inRoot(folder), { withFileTypes: true }).flatMap((entry) => {
    const at = path.join(folder, entry.name)
    if (entry.isDirectory()) {
      return NOT_OURS.has(entry.name) || entry.name.startsWith('.') ? [] : documents(at)
    }
    return entry.name.endsWith('.md') ? [at] : []
  })
}

const files = documents('')
const faults = files.flatMap((file) => {
  const lines = readFileSync(inRoot(file), 'utf8').split('\n')
  const long = lines.flatMap((line, i) =>
    line.length > MOST_LETTERS ? [`${file}:${i + 1}: a line of ${line.length} letters`] : [],
  )
  if (!/^core\/src\/\w/.test(file)) return long
  // What a room's README names of its own has to be there.
  const named = [...lines.join('\n').matchAll(/`([a-z0-9-]+\.ts)`/g)].map(([, name]) => name)
  const folder = path.dirname(inRoot(file))
  const gone = named.filter((name) => !existsSync(path.join(folder, name)))
  return [...long, ...gone.map((name) => `${file}: ${name} is not there`)]
})
for (const fault of faults) console.log(`  ${fault}`)
console.log(`  documents: ${files.length}; longest line allowed ${MOST_LETTERS} letters`)
process.exitCode = faults.length > 0 ? 1 : 0
