import { spawn } from 'node:child_process'
import { createInterface } from 'node:readline'
import { rmSync } from 'node:fs'
import os from 'node:os'
import { bundled } from './setup/bundle.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { ROOT } from './setup/paths.mjs'
import { reporting } from './setup/run.mjs'
import { Tally } from './findings/tally.mjs'

/** So many likely designs where nothing else is asked for, and of how many the fixes must end without a stop. */
const DESIGNS = 200
const MOST_LEFT_SHARE = 0.05

/** Which code fires how often, before and after following the first fixes: `findings [how many [from which]]`. */
await reporting(async () => {
  await ensurePackages((text) => console.log(`· ${text}`))
  const { outDir, file } = await bundled('tools/findings/main.ts')
  try {
    const [most = DESIGNS, first = 1] = process.argv.slice(2).map(Number)
    const parts = Math.min(most, os.availableParallelism())
    const share = Math.ceil(most / parts)
    const tally = new Tally()
    await Promise.all(
      Array.from({ length: parts }, async (_, i) => {
        const count = Math.min(share, most - i * share)
        const args = [file, String(count), String(first + i * share)]
        if (i === 0) args.push('demo')
        const child = spawn(process.execPath, args, {
          stdio: ['ignore', 'pipe', 'inherit'],
          cwd: ROOT,
        })
        for await (const line of createInterface({ input: child.stdout }))
          tally.add(JSON.parse(line))
        if (child.exitCode) process.exitCode = child.exitCode
      }),
    )
    tally.print()
    if (!tally.holds(MOST_LEFT_SHARE)) process.exitCode = 1
  } finally {
    rmSync(outDir, { recursive: true, force: true })
  }
})
