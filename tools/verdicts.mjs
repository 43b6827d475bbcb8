import { inParts } from './setup/in-parts.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { reporting } from './setup/run.mjs'

/** So many likely designs where nothing else is asked for. */
const DESIGNS = 300

/** The long form of the test that nothing called fine floods, over all cores: `verdicts [how many [from which]]`. */
await reporting(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  const [most = DESIGNS, first = 1] = process.argv.slice(2).map(Number)
  process.exitCode = await inParts('tools/verdicts/main.ts', { most, first })
})
