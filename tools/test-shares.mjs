import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { inRoot } from './setup/paths.mjs'

/** So much of each package's lines are tests at least; web's journeys are counted apart, as no part of it. */
const LEAST = { core: 0.25, contract: 0.25, server: 0.25, web: 0.2 }

function linesIn(folder) {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /\.(ts|vue|mjs)$/.test(entry.name))
    .reduce(
      (sum, { parentPath, name }) =>
        sum + readFileSync(path.join(parentPath, name), 'utf8').split('\n').length - 1,
      0,
    )
}

// Prints the share of tests in each package; fails where it is too small.
let failed = false
for (const [name, least] of Object.entries(LEAST)) {
  const tests = linesIn(inRoot(name, 'test'))
  const all = tests + linesIn(inRoot(name, 'src'))
  const share = tests / all
  console.log(
    `  ${name}: ${(100 * share).toFixed(1)} % of ${all} lines are tests, least ${100 * least} %`,
  )
  failed ||= share < least
}
process.exitCode = failed ? 1 : 0
