import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, chmodSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { inRoot } from '../setup/paths.mjs'
import { freePort } from '../setup/ports.mjs'
import { processesWith } from './processes.mjs'

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** A data folder that PostgreSQL's user can reach; the caller removes it. */
export function dataFolder() {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'yew-attack-'))
  chmodSync(folder, 0o755)
  return folder
}

/** The application as `npm start` brings it up, on data of its own. */
export class RunningApp {
  output = ''
  #child = null
  /** @type {Promise<string | number> | null} */
  #ended = null

  constructor({ home = dataFolder(), port, env = {} } = {}) {
    this.home = home
    this.port = port
    this.env = env
  }

  get origin() {
    return `http://127.0.0.1:${this.port}`
  }

  /** Resolves when it says where it is, or has ended. True: it is up. */
  async start(command = [process.execPath, inRoot('tools/start.mjs')]) {
    this.port ??= await freePort()
    this.output = ''
    const child = spawn(command[0], command.slice(1), {
      cwd: inRoot(),
      env: { ...process.env, YEW_PORT: String(this.port), YEW_DATA_DIR: this.home, ...this.env },
      stdio: ['ignore', 'pipe', 'pipe'],
      detached: true,
    })
    this.#child = child
    const up = new Promise((resolve) => {
      const hear = (chunk) => {
        this.output += chunk
        if (/Yew Basin is at/.test(this.output)) resolve(true)
      }
      child.stdout.on('data', hear)
      child.stderr.on('data', hear)
    })
    this.#ended = new Promise((resolve) =>
      child.once('exit', (code, signal) => resolve(signal ?? code)),
    )
    return Promise.race([up, this.#ended.then(() => false)])
  }

  get pid() {
    return this.#child.pid
  }

  /** @returns {Promise<string | number>} what it ended with */
  async ended() {
    return this.#ended
  }

  signal(name) {
    this.#child.kill(name)
  }

  async stop() {
    this.signal('SIGTERM')
    return this.#ended
  }

  /** The server's process, as a child of ours. */
  serverPid() {
    return processesWith('server/dist/main.js', this.pid)[0] ?? null
  }

  postmasterPid() {
    const file = path.join(this.home, 'postgres', 'postmaster.pid')
    return existsSync(file) ? Number(readFileSync(file, 'utf8').split('\n')[0]) : null
  }

  /** Asks until it answers as itself; how long that took, or null when it never did. */
  async answers(withinMs = 60_000) {
    const started = performance.now()
    while (performance.now() - started < withinMs) {
      try {
        const answer = await fetch(`${this.origin}/api/basins`, {
          signal: AbortSignal.timeout(3000),
        })
        await answer.text()
        if (answer.status === 401) return performance.now() - started
      } catch {
        // Not up again yet.
      }
      await pause(50)
    }
    return null
  }
}

/** A keeper at the API: a cookie and what was last acknowledged. */
export class Editor {
  #origin
  #cookie = ''
  #written = { of: null, parts: [] }

  constructor(origin) {
    this.#origin = origin
  }

  async ask(address, init = {}) {
    const answer = await fetch(`${this.#origin}/api${address}`, {
      ...init,
      headers: { 'Content-Type': 'application/json', Cookie: this.#cookie, ...init.headers },
      signal: AbortSignal.timeout(20_000),
    })
    const cookie = answer.headers.getSetCookie()[0]
    if (cookie) this.#cookie = cookie.split(';')[0]
    const text = await answer.text()
    return { status: answer.status, body: text ? JSON.parse(text) : null }
  }

  /** Comes as a new guest and opens the first basin of the shelf. */
  async arrive() {
    await this.ask('/workspace', { method: 'POST' })
    const shelf = await this.ask('/basins')
    const { body } = await this.ask(`/basins/${shelf.body.entries[0].id}`)
    this.basin = body
    this.design = body.current
    return this
  }

  /** The same keeper at another copy of the application. */
  elsewhere(app) {
    const other = new Editor(app.origin)
    other.#cookie = this.#cookie.replace(/^yew-\d+/, `yew-${app.port}`)
    return Object.assign(other, { basin: this.basin, design: this.design })
  }

  get cookie() {
    return this.#cookie
  }

  /** Saves the design with this width of its first tank. */
  save(widthM, changed = this.design.revision) {
    const { design, id } = this.design
    if (this.#written.of !== design) {
      // Written once, for a load is to be the server's and not its sender's.
      const marked = structuredClone(design)
      marked.tanks[0].widthM = '@'
      this.#written = { of: design, parts: JSON.stringify({ design: marked }).split('"@"') }
    }
    return this.ask(`/designs/${id}`, {
      method: 'PUT',
      headers: { 'If-Match': `"${changed}"` },
      body: this.#written.parts.join(String(widthM)),
    })
  }

  /** What the server has now. */
  async stored() {
    for (let turn = 0; ; turn++) {
      const { status, body } = await this.ask(`/designs/${this.design.id}`)
      if (status === 200) return body
      if (turn === 100)
        throw new Error(`the design cannot be read: ${status} ${JSON.stringify(body)}`)
      await pause(100)
    }
  }
}
