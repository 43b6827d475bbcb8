import {
  balance,
  size,
  type BasinDesign,
  type FlowTarget,
  type SizingAnswer,
  type SizingWish,
} from '@yew-basin/core'
import { expose } from 'comlink'

/** Core's long searches, off the page's thread. */
const calc = {
  balance: (design: BasinDesign, targets: readonly FlowTarget[], pumpIndex: number) =>
    balance(design, targets, pumpIndex),
  size: (wish: SizingWish, progress: (done: number, of: number) => void): SizingAnswer =>
    size(wish, () => crypto.randomUUID(), progress),
}
export type Calc = typeof calc

expose(calc)
