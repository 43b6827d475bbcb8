import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import path from 'node:path'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot, ROOT } from './setup/paths.mjs'
import { told } from './setup/run.mjs'

/** Bundled as the pages are, so that what is timed is what runs there. */
async function bundled(main) {
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
    build: { ssr: main, outDir, target: 'es2022', emptyOutDir: true },
  })
  return { outDir, file: path.join(outDir, 'main.js') }
}

await told(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  const { outDir, file } = await bundled(inRoot('tools/bench/main.ts'))
  try {
    const { status } = spawnSync(process.execPath, [file], { stdio: 'inherit', cwd: ROOT })
    process.exitCode = status ?? 1
  } finally {
    rmSync(outDir, { recursive: true, force: true })
  }
})
