import { parentPort } from 'node:worker_threads'
import type { BasinDesign } from '@yew-basin/core'
import { figuresToday } from './basin/figures-today.ts'
import type { FiguresAnswer } from './job/figures-thread.ts'

/** The other side of a figures thread. */
function answer(id: number, design: BasinDesign): FiguresAnswer {
  try {
    return { id, figures: figuresToday(design) }
  } catch (error) {
    return { id, fault: (error as Error).message }
  }
}

parentPort!.on('message', ({ id, design }: { id: number; design: BasinDesign }) =>
  parentPort!.postMessage(answer(id, design)),
)
