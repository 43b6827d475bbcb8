import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { rmSync } from 'node:fs'
import os from 'node:os'
import { createInterface } from 'node:readline'
import { bundled } from './bundle.mjs'
import { ROOT } from './paths.mjs'

/**
 * A program for so many seeds from one on, in as many processes as there are cores; each is given how
 * many and from which, the first what is `besides`. What they print goes to `onLine`, else on. The worst exit code.
 */
export async function inParts(source, { most, first, besides = [] }, onLine = null) {
  const { outDir, file } = await bundled(source)
  try {
    const parts = Math.min(most, os.availableParallelism())
    const share = Math.ceil(most / parts)
    const codes = await Promise.all(
      Array.from({ length: parts }, async (_, i) => {
        const count = Math.min(share, most - i * share)
        const args = [String(count), String(first + i * share), ...(i === 0 ? besides : [])]
        const child = spawn(process.execPath, [file, ...args], {
          stdio: ['ignore', onLine ? 'pipe' : 'inherit', 'inherit'],
          cwd: ROOT,
        })
        const closed = once(child, 'close')
        if (onLine) createInterface({ input: child.stdout }).on('line', onLine)
        const [code] = await closed
        return code ?? 1
      }),
    )
    return Math.max(...codes)
  } finally {
    rmSync(outDir, { recursive: true, force: true })
  }
}
