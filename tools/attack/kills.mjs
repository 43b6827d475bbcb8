import { rmSync } from 'node:fs'
import { randomFrom } from './random.mjs'
import { Editor, RunningApp } from './running-app.mjs'

const EDITORS = 6
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** An editor who saves without a pause and remembers what was acknowledged. */
class Saver {
  acknowledged = 0
  #editor
  #width = 0.5
  #going = true
  #done

  constructor(editor) {
    this.#editor = editor
    this.acked = { revision: editor.design.revision, widthM: editor.design.design.tanks[0].widthM }
    this.#done = this.#run()
  }

  async #run() {
    while (this.#going) {
      this.#width = 0.5 + Math.round(((this.#width - 0.5) * 1e4 + 1) % 2000) / 1e4
      const sent = this.#width
      try {
        const { status, body } = await this.#editor.save(sent, this.acked.revision)
        if (status === 200) {
          this.acked = { revision: body.revision, widthM: sent }
          this.acknowledged++
        } else if (status === 412) {
          // The save before arrived though its answer did not.
          this.acked = {
            revision: body.current.revision,
            widthM: body.current.design.tanks[0].widthM,
          }
        } else await pause(50)
      } catch {
        await pause(50)
      }
    }
  }

  async stop() {
    this.#going = false
    await this.#done
  }

  /** What was acknowledged and is not there. */
  async lost() {
    const stored = await this.#editor.stored()
    const { revision, widthM } = this.acked
    if (stored.revision < revision)
      return `revision ${revision} was acknowledged; ${stored.revision} is there`
    const same = stored.revision > revision || stored.design.tanks[0].widthM === widthM
    return same ? null : `revision ${revision} is not what was sent`
  }
}

/** Kills the server or the database without a word while keepers save, again and again. */
export async function kills({ rounds, seed, say }) {
  const random = randomFrom(seed)
  const app = new RunningApp()
  const failures = []
  const waits = []
  let acknowledged = 0
  try {
    if (!(await app.start())) return { failures: [`it did not start:\n${app.output}`], told: '' }
    const editors = []
    for (let i = 0; i < EDITORS; i++) editors.push(await new Editor(app.origin).arrive())
    for (let round = 1; round <= rounds; round++) {
      for (const editor of editors) editor.design = await editor.stored()
      const savers = editors.map((editor) => new Saver(editor))
      await pause(50 + random() * 350)
      const server = random() < 0.5
      const pid = server ? app.serverPid() : app.postmasterPid()
      if (pid) process.kill(pid, 'SIGKILL')
      await pause(100)
      const wait = await app.answers()
      await pause(100)
      await Promise.all(savers.map((saver) => saver.stop()))
      acknowledged += savers.reduce((sum, saver) => sum + saver.acknowledged, 0)
      if (wait === null) {
        failures.push(`round ${round}: it did not come back\n${app.output.slice(-1500)}`)
        break
      }
      waits.push(wait)
      for (const saver of savers) {
        const lost = await saver.lost()
        if (lost) failures.push(`round ${round}, ${server ? 'server' : 'database'} killed: ${lost}`)
      }
      if (round % 10 === 0) say(`  ${round} rounds`)
    }
  } finally {
    await app.stop()
    rmSync(app.home, { recursive: true, force: true })
  }
  const slowest = Math.round(Math.max(0, ...waits))
  return {
    failures,
    told: `${waits.length} kills, ${acknowledged} acknowledged saves, ${failures.length} lost; back within ${slowest} ms`,
  }
}
