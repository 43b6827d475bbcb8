import { Tally } from './findings/tally.mjs'
import { inParts } from './setup/in-parts.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { reporting } from './setup/run.mjs'

/** So many likely designs where nothing else is asked for. */
const DESIGNS = 200

/** Which code fires how often, before and after following the first fixes: `findings [how many [from which]]`. */
await reporting(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  const [most = DESIGNS, first = 1] = process.argv.slice(2).map(Number)
  const tally = new Tally()
  const asked = { most, first, besides: ['known'] }
  const code = await inParts('tools/findings/main.ts', asked, (line) => tally.add(JSON.parse(line)))
  tally.print()
  process.exitCode = code || (tally.holds(most) ? 0 : 1)
})
