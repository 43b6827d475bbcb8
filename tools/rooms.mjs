import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { inRoot } from './setup/paths.mjs'

/** No room of the core holds more than this share of it. */
const MOST_SHARE = 1 / 6

function linesIn(folder) {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && entry.name.endsWith('.ts'))
    .reduce(
      (sum, { parentPath, name }) =>
        sum + readFileSync(path.join(parentPath, name), 'utf8').split('\n').length,
      0,
    )
}

// Prints the largest room of the core; fails where it is too large.
const core = inRoot('core', 'src')
const rooms = readdirSync(core, { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map(({ name }) => ({ name, lines: linesIn(path.join(core, name)) }))
const all = linesIn(core)
const largest = rooms.reduce((a, b) => (b.lines > a.lines ? b : a))
const share = largest.lines / all
console.log(
  `  largest room of the core: ${largest.name}, ${(100 * share).toFixed(1)} % of ${all} lines in ${rooms.length} rooms; most ${(100 * MOST_SHARE).toFixed(1)} %`,
)
process.exitCode = share > MOST_SHARE ? 1 : 0
