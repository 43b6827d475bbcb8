import { mkdtempSync } from 'node:fs'
import path from 'node:path'
import { inRoot, ROOT } from './paths.mjs'

/** A tool in one file, bundled as the pages are; its folder is the caller's to remove. */
export async function bundled(main) {
  const { build, defaultServerConditions } = await import('vite')
  const outDir = mkdtempSync(inRoot('node_modules', '.bundle-'))
  await build({
    root: ROOT,
    configFile: false,
    logLevel: 'warn',
    ssr: {
      noExternal: /^@yew-basin\//,
      resolve: { conditions: ['source', ...defaultServerConditions] },
    },
    build: { ssr: inRoot(main), outDir, target: 'es2022', emptyOutDir: true },
  })
  return { outDir, file: path.join(outDir, `${path.basename(main, '.ts')}.js`) }
}
