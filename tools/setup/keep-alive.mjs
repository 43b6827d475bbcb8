/** Waits before each new try: soon at first, for most ends are a single one. */
const WAITS_MS = [100, 300, 1000, 3000]
/** What ran this long had started well: the next end is a first one again. */
const WELL_MS = 1000

/**
 * Keeps a program running: where it ends by itself it is started again, as often as it takes, until it is stopped.
 */
export class KeptAlive {
  #name
  #start
  #onceEnded
  #say
  #stopping = false
  #tries = 0
  /** @type {Promise<void> | null} */
  #again = null
  #timer = undefined
  #wake = () => {}

  /**
   * @param start starts it once and resolves when it answers
   * @param onceEnded tells when the one that was started last ends
   */
  constructor({ name, start, onceEnded, say }) {
    this.#name = name
    this.#start = start
    this.#onceEnded = onceEnded
    this.#say = say
  }

  /** Watches what was started from outside, or by the first call of `start`. */
  watch() {
    const since = Date.now()
    this.#onceEnded((how) => {
      if (this.#stopping) return
      if (Date.now() - since > WELL_MS) this.#tries = 0
      this.#say(`${this.#name} ended with ${how}; starting it again`)
      this.#again = this.#startAgain()
    })
  }

  async #startAgain() {
    let told = ''
    while (!this.#stopping) {
      await this.#pause(WAITS_MS[Math.min(this.#tries++, WAITS_MS.length - 1)])
      if (this.#stopping) return
      try {
        await this.#start()
        this.#say(`${this.#name} runs again`)
        this.watch()
        return
      } catch (error) {
        if (error.message !== told)
          this.#say(`${error.message}\n  What to do: ${error.advice ?? 'see above.'}`)
        told = error.message
      }
    }
  }

  #pause(ms) {
    return new Promise((resolve) => {
      this.#wake = resolve
      this.#timer = setTimeout(resolve, ms)
    })
  }

  /** From now on its end is wanted. Resolves when no start of it is under way. */
  async letGo() {
    this.#stopping = true
    clearTimeout(this.#timer)
    this.#wake()
    await this.#again
  }
}
