import { spawn } from 'node:child_process'
import { StepFailed } from './run.mjs'

/** Requests under way are answered in this time. */
const STOP_WITHIN_MS = 10_000

/** The application's server as a child of ours. */
export class ServerProcess {
  #args
  #env
  #child = null

  /** @param args of node: the built server, or its sources, which node itself watches and starts anew */
  constructor(args, env) {
    this.#args = args
    this.#env = env
  }

  /** Resolves once it listens; a watched one cannot say so. */
  start() {
    const watched = this.#args.some((arg) => arg.startsWith('--watch'))
    const child = spawn(process.execPath, this.#args, {
      stdio: ['ignore', 'inherit', 'inherit', ...(watched ? [] : ['ipc'])],
      detached: true,
      env: { ...process.env, ...this.#env },
    })
    this.#child = child
    if (watched) return Promise.resolve(null)
    return new Promise((resolve, reject) => {
      child.once('message', (message) => resolve(message.listening))
      child.once('exit', (code, signal) =>
        reject(
          new StepFailed(
            'Starting the server',
            `it ended with ${signal ?? code}`,
            'read what it printed above.',
          ),
        ),
      )
    })
  }

  /** Called once, when the server that runs now ends in any way. */
  onceEnded(tell) {
    this.#child.once('exit', (code, signal) => tell(signal ?? code))
  }

  async stop() {
    const child = this.#child
    if (!child || child.exitCode !== null || child.signalCode !== null) return
    const ended = new Promise((resolve) => child.once('exit', resolve))
    child.kill('SIGTERM')
    const hard = setTimeout(() => child.kill('SIGKILL'), STOP_WITHIN_MS)
    await ended
    clearTimeout(hard)
  }
}
