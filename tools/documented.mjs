import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import ts from 'typescript'
import { inRoot } from './setup/paths.mjs'

/** Share of the exported declarations that must say what they are. */
const LEAST = { core: 0.95, contract: 0.85, server: 0.85 }

function sources(folder) {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && entry.name.endsWith('.ts'))
    .map(({ parentPath, name }) => path.join(parentPath, name))
}

/** Exported declarations of a file, with where each stands and whether a comment stands over it. */
function exportedOf(file) {
  const text = readFileSync(file, 'utf8')
  const parsed = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true)
  return parsed.statements
    .filter(
      (node) =>
        ts.canHaveModifiers(node) &&
        ts.getModifiers(node)?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword),
    )
    .map((node) => ({
      documented: ts.getJSDocCommentsAndTags(node).length > 0,
      at: `${path.relative(inRoot(), file)}:${parsed.getLineAndCharacterOfPosition(node.getStart()).line + 1}`,
    }))
}

// Prints the share of exported declarations that are documented; with `--list` those that are not.
let failed = false
for (const [name, least] of Object.entries(LEAST)) {
  const all = sources(inRoot(name, 'src')).flatMap(exportedOf)
  const bare = all.filter(({ documented }) => !documented)
  const share = 1 - bare.length / all.length
  if (process.argv.includes('--list')) for (const { at } of bare) console.log(`  ${at}`)
  console.log(
    `  ${name}: ${(100 * share).toFixed(1)} % of ${all.length} exported declarations documented, least ${100 * least} %`,
  )
  failed ||= share < least
}
process.exitCode = failed ? 1 : 0
