import { expose } from 'comlink'
import { MessageChannel, type MessagePort } from 'node:worker_threads'
import { coreCalls } from '../src/calc/core-calls.ts'
import { currentsCalls } from '../src/calc/currents-calls.ts'

/** Workers that were started, oldest first. */
export const STARTED: AWorker[] = []

/**
 * A worker in the test's own thread: what it is asked and what it answers are copied as between
 * threads, so that what can't be sent fails here as it would there.
 */
export class AWorker {
  readonly #here: MessagePort
  readonly #there: MessagePort
  ended = false

  constructor(url: URL) {
    const { port1, port2 } = new MessageChannel()
    this.#here = port1
    this.#there = port2
    const calls = url.pathname.includes('currents') ? currentsCalls : coreCalls
    expose(calls, port2 as unknown as Parameters<typeof expose>[1])
    STARTED.push(this)
  }
  postMessage(message: unknown, transfer: readonly never[] = []): void {
    this.#here.postMessage(message, transfer)
  }
  addEventListener(kind: string, listener: (event: unknown) => void): void {
    if (kind === 'message') this.#here.on('message', (data) => listener({ data, origin: '' }))
  }
  removeEventListener(): void {}
  start(): void {}
  terminate(): void {
    this.ended = true
    this.#here.close()
    this.#there.close()
  }
}

/** What a page has that jsdom has not, and workers that work. */
export function aPage(): void {
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  } as unknown as typeof ResizeObserver
  globalThis.structuredClone ??= <T>(value: T) => JSON.parse(JSON.stringify(value)) as T
  Object.defineProperty(document, 'fonts', { value: { load: async () => [] }, configurable: true })
  HTMLCanvasElement.prototype.getContext = () => null
  // What is called back goes by a channel of its own.
  globalThis.MessageChannel ??= MessageChannel as unknown as typeof globalThis.MessageChannel
  globalThis.Worker = AWorker as unknown as typeof Worker
}

/** Elements that are watched have a size, as a page's have; until what it gives is called. */
export function aPageWithSizes(width = 800, height = 600): () => void {
  const before = globalThis.ResizeObserver
  globalThis.ResizeObserver = class {
    constructor(private readonly told: ResizeObserverCallback) {}
    observe(target: Element) {
      const box = [{ inlineSize: width, blockSize: height }]
      const entry = {
        target,
        contentRect: { width, height },
        contentBoxSize: box,
        borderBoxSize: box,
      }
      this.told([entry as unknown as ResizeObserverEntry], this)
    }
    unobserve() {}
    disconnect() {}
  }
  return () => {
    globalThis.ResizeObserver = before
  }
}

/** Waits until it holds, looking often. */
export async function until(holds: () => boolean, what: string, mostMs = 50_000): Promise<void> {
  const begun = Date.now()
  while (!holds()) {
    if (Date.now() - begun > mostMs) throw new Error(`waited in vain: ${what}`)
    await new Promise((resolve) => setTimeout(resolve, 10))
  }
}

/** Ends what was started, so that the test's process can end. */
export function endWorkers(): void {
  for (const worker of STARTED.splice(0)) worker.terminate()
}
