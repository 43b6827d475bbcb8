import { Worker } from 'node:worker_threads'
import type { BasinDesign, ShelfFigures } from '@yew-basin/core'

/** What the other thread answers. */
export type FiguresAnswer =
  | { readonly id: number; readonly figures: ShelfFigures }
  | { readonly id: number; readonly fault: string }

interface Waiting {
  readonly resolve: (figures: ShelfFigures) => void
  readonly reject: (error: Error) => void
}

/** A card's figures, its drills run, in a thread of their own: no request waits for them. */
export class FiguresThread {
  readonly #file: URL
  readonly #waiting = new Map<number, Waiting>()
  #worker: Worker | null = null
  #asked = 0

  constructor(file: URL) {
    this.#file = file
  }

  /** Starts the thread where it does not run. */
  figuresOf(design: BasinDesign): Promise<ShelfFigures> {
    const worker = (this.#worker ??= this.#start())
    const id = ++this.#asked
    return new Promise((resolve, reject) => {
      this.#waiting.set(id, { resolve, reject })
      worker.postMessage({ id, design })
    })
  }

  async end(): Promise<void> {
    await this.#worker?.terminate()
  }

  #start(): Worker {
    const worker = new Worker(this.#file)
    worker.on('message', (answer: FiguresAnswer) => {
      const waiting = this.#waiting.get(answer.id)
      this.#waiting.delete(answer.id)
      if ('figures' in answer) waiting?.resolve(answer.figures)
      else waiting?.reject(new Error(answer.fault))
    })
    worker.on('error', (error) => this.#lost(worker, error))
    worker.on('exit', () => this.#lost(worker, new Error('the figures thread ended')))
    // Nothing waits for it when the server stops.
    worker.unref()
    return worker
  }

  #lost(worker: Worker, error: Error): void {
    if (this.#worker !== worker) return
    this.#worker = null
    for (const { reject } of this.#waiting.values()) reject(error)
    this.#waiting.clear()
  }
}
