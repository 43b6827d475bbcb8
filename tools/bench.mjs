import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import path from 'node:path'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot, ROOT } from './setup/paths.mjs'
import { told } from './setup/run.mjs'

/** One for what the page's own thread does, one for what its workers do. */
const PARTS = ['page', 'workers']

/** Bundled as the pages are, so that what is timed is what runs there. */
async function bundled(part) {
  const { build, defaultServerConditions } = await import('vite')
  const outDir = mkdtempSync(inRoot('node_modules', '.bench-'))
  await build({
    root: ROOT,
    configFile: false,
    logLevel: 'warn',
    ssr: {
      noExternal: /^@yew-basin\//,
      resolve: { conditions: ['source', ...defaultServerConditions] },
    },
    build: { ssr: inRoot(`tools/bench/${part}.ts`), outDir, target: 'es2022', emptyOutDir: true },
  })
  return { outDir, file: path.join(outDir, `${part}.js`) }
}

await told(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  for (const part of PARTS) {
    const { outDir, file } = await bundled(part)
    try {
      const { status } = spawnSync(process.execPath, [file], { stdio: 'inherit', cwd: ROOT })
      process.exitCode ||= status ?? 1
    } finally {
      rmSync(outDir, { recursive: true, force: true })
    }
  }
})
