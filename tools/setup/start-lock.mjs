import { spawn } from 'node:child_process'
import path from 'node:path'
import { StepFailed } from './run.mjs'
import { readState, writeState } from './state-file.mjs'

/** What flock ends with where another holds the lock. */
const HELD = 75

/**
 * One start at a time on a data folder: the lock is the kernel's own, on a file in the folder, and is let go when
 * whoever holds it ends in any way. A copied folder has a lock of its own.
 */
export class StartLock {
  #child
  #running

  constructor(child, home) {
    this.#child = child
    this.#running = runningFile(home)
  }

  /** Says who runs here, for the next one that asks. */
  tell(address) {
    writeState(this.#running, { pid: process.pid, address })
  }

  release() {
    this.#child.stdin.end()
  }
}

const runningFile = (home) => path.join(home, 'running.json')

/** The lock; or, where another start has it, what that one wrote of itself. */
export function takeLock(home) {
  const file = path.join(home, 'start.lock')
  const held = ['-n', '-E', String(HELD), file, 'sh', '-c', 'echo held; exec cat']
  const child = spawn('flock', held, { stdio: ['pipe', 'pipe', 'pipe'], detached: true })
  let output = ''
  child.stderr.on('data', (chunk) => (output += chunk))
  child.stdin.on('error', () => {})
  return new Promise((resolve, reject) => {
    child.once('error', (error) =>
      reject(
        new StepFailed('Locking the data folder', error.message, 'install util-linux (flock).'),
      ),
    )
    child.stdout.once('data', () => {
      child.unref()
      for (const stream of [child.stdin, child.stdout, child.stderr]) stream.unref()
      resolve({ lock: new StartLock(child, home) })
    })
    child.once('exit', (code) => {
      if (code === HELD) resolve({ other: readState(runningFile(home)) ?? {} })
      else
        reject(
          new StepFailed(
            'Locking the data folder',
            `${file}: ${output.trim()}`,
            'look at its rights.',
          ),
        )
    })
  })
}

/** The other start, in words. */
export function whoRuns({ pid, address }) {
  if (address) return `Yew Basin already runs at ${address} (process ${pid})`
  return `Another start is under way on this folder${pid ? ` (process ${pid})` : ''}; wait for it, or stop it.`
}
