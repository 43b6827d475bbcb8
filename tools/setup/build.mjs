import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { inRoot, ROOT } from './paths.mjs'
import { must } from './run.mjs'

const STAMP = inRoot('web', 'dist', '.built-from')
const SOURCES = ['core', 'contract', 'server', 'web', 'package-lock.json', 'tsconfig.base.json']
const LEFT_OUT = new Set(['dist', 'node_modules', 'test'])

/** One number for all that a build is made from. */
function fingerprint() {
  const hash = createHash('sha256')
  const walk = (file) => {
    if (statSync(file).isDirectory()) {
      for (const name of readdirSync(file).sort()) {
        if (!LEFT_OUT.has(name)) walk(path.join(file, name))
      }
    } else {
      hash.update(path.relative(ROOT, file)).update(readFileSync(file))
    }
  }
  for (const source of SOURCES) walk(inRoot(source))
  return hash.digest('hex')
}

/** Server and pages built from the sources as they stand; does nothing when they already are. */
export async function ensureBuilt(say) {
  const now = fingerprint()
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === now) return
  say('Building')
  const advice = 'if you changed the sources, fix what is named above; else clone afresh.'
  const build = (step, folder) =>
    must(
      { step, advice },
      inRoot('node_modules', '.bin', 'vite'),
      ['build', '--logLevel', 'warn'],
      {
        cwd: inRoot(folder),
      },
    )
  await Promise.all([build('Building the server', 'server'), build('Building the pages', 'web')])
  writeFileSync(STAMP, now)
}
