import { mkdtempSync, chmodSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { ensureChromium } from './setup/chromium.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { inRoot } from './setup/paths.mjs'
import { freePort } from './setup/ports.mjs'
import { ensurePostgres } from './setup/postgres.mjs'
import { run } from './setup/run.mjs'

/** Builds every shape of system through the screens, and prints how many interactions each took. */
const say = (text) => console.log(`· ${text}`)
const scratch = mkdtempSync(path.join(os.tmpdir(), 'yew-basin-systems-'))
chmodSync(scratch, 0o755)
try {
  await ensurePackages(say)
  await ensurePostgres(say)
  const chromium = await ensureChromium(say)
  const { code, output } = await run(inRoot('node_modules', '.bin', 'playwright'), ['test'], {
    cwd: inRoot('e2e'),
    env: {
      YEW_E2E_DIR: 'systems',
      YEW_E2E_PORT: String(await freePort()),
      YEW_E2E_DATA: path.join(scratch, 'data'),
      YEW_E2E_BROWSER: chromium,
    },
  })
  console.log(output.trimEnd())
  process.exitCode = code === 0 ? 0 : 1
} finally {
  rmSync(scratch, { recursive: true, force: true })
}
