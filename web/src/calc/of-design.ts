import type { BasinDesign } from '@yew-basin/core'
import type { Remote } from 'comlink'
import { plain } from '../workspace/plain.ts'
import type { CoreCalls } from './core-calls.ts'

/** The design that each worker holds; a worker that is ended is forgotten with it. */
const heldBy = new WeakMap<Remote<CoreCalls>, BasinDesign>()

/** A worker that holds a design: it is sent when the worker holds another. */
export function ofDesign(calls: Remote<CoreCalls>, design: BasinDesign): Remote<CoreCalls> {
  if (heldBy.get(calls) !== design) {
    heldBy.set(calls, design)
    // Messages arrive in order: what is asked next is asked of this design.
    void calls.hold(plain(design))
  }
  return calls
}
