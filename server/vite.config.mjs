import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { defaultServerConditions, defineConfig } from 'vite'

/** One number for the core's sources: figures cached by another core are computed again. */
function coreFingerprint() {
  const folder = new URL('../core/src/', import.meta.url).pathname
  const hash = createHash('sha256')
  for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' }).sort((a, b) =>
    a.localeCompare(b),
  )) {
    if (name.endsWith('.ts')) hash.update(name).update(readFileSync(path.join(folder, name)))
  }
  return hash.digest('hex').slice(0, 16)
}

/** The server as one program, with core and contract in it; packages stay where npm put them. */
export default defineConfig({
  define: { __CORE_FINGERPRINT__: JSON.stringify(coreFingerprint()) },
  ssr: {
    noExternal: /^@yew-basin\//,
    resolve: { conditions: ['source', ...defaultServerConditions] },
  },
  build: {
    ssr: true,
    target: 'node20',
    sourcemap: true,
    rollupOptions: {
      input: {
        main: 'src/main.ts',
        'figures-main': 'src/figures-main.ts',
        'prepare-main': 'src/db/prepare-main.ts',
      },
    },
  },
})
