import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import ts from 'typescript'
import { inRoot } from './setup/paths.mjs'

/** So many names at most are asked for at core's front door. */
const MOST_NAMES = 250
/** Who may ask at which door of core. */
const DOORS = [
  {
    name: '@yew-basin/core',
    file: inRoot('core', 'src', 'index.ts'),
    askedBy: ['contract/src', 'server/src', 'web/src', 'tools', 'server/test', 'web/test'],
  },
  {
    name: '@yew-basin/core/lab',
    file: inRoot('core', 'src', 'lab.ts'),
    askedBy: ['tools', 'contract/test', 'server/test', 'web/test', 'core/test'],
  },
]

const parsed = (file, text) => ts.createSourceFile(file, text, ts.ScriptTarget.Latest)

function exportsOf(file) {
  return parsed(file, readFileSync(file, 'utf8')).statements.flatMap(({ exportClause }) =>
    !exportClause
      ? []
      : ts.isNamedExports(exportClause)
        ? exportClause.elements.map(({ name }) => name.text)
        : [exportClause.name.text],
  )
}

/** The script of a component, or a whole module. */
const scriptOf = (file) => {
  const text = readFileSync(file, 'utf8')
  return file.endsWith('.vue') ? (/<script[^>]*>([^]*?)<\/script>/.exec(text)?.[1] ?? '') : text
}

function sources(folder) {
  return readdirSync(inRoot(folder), { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /\.(ts|vue|mjs)$/.test(entry.name))
    .map(({ parentPath, name }) => path.join(parentPath, name))
}

/** Names that a folder's files ask for at a door; core's own tests ask by its file. */
function askedFor(folder, door) {
  return sources(folder).flatMap((file) =>
    parsed(file, scriptOf(file)).statements.flatMap(
      ({ moduleSpecifier, importClause, exportClause }) => {
        const from = moduleSpecifier?.text ?? ''
        const own = from.startsWith('.') && path.resolve(path.dirname(file), from) === door.file
        const names = importClause?.namedBindings ?? exportClause
        return (from === door.name || own) && names?.elements
          ? names.elements.map(({ propertyName, name }) => (propertyName ?? name).text)
          : []
      },
    ),
  )
}

// Prints how many names stand at each door; fails where one is asked for by nobody, or there are too many.
let failed = false
for (const door of DOORS) {
  const names = exportsOf(door.file)
  const asked = new Set(door.askedBy.flatMap((folder) => askedFor(folder, door)))
  const unused = names.filter((name) => !asked.has(name))
  for (const name of unused) console.log(`  ${door.name}: nobody asks for ${name}`)
  const most = door.name.endsWith('lab') ? Infinity : MOST_NAMES
  console.log(
    `  ${door.name}: ${names.length} names${most < Infinity ? `, most ${most}` : ''}; ${unused.length} asked for by nobody`,
  )
  failed ||= unused.length > 0 || names.length > most
}
process.exitCode = failed ? 1 : 0
