import { tryOnScopeDispose } from '@vueuse/core'
import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import type { Spawned } from './spawn.ts'
import { Cancelled, WorkerPool } from './worker-pool.ts'

/** How far work is. */
export interface Progress {
  readonly done: number
  readonly of: number
}

/** What a piece of work is given: workers, and a way to say how far it is. */
export interface Work<Calls> {
  readonly pool: WorkerPool<Calls>
  readonly report: (done: number, of: number) => void
}

/** What is worked at, and how. */
export interface How<Calls, Subject, Answer, Estimate> {
  readonly spawn: () => Spawned<Calls>
  /** What is asked about; an answer is stale once this is another. null: there is nothing to ask about. */
  readonly subject: () => Subject | null
  readonly ask: (subject: Subject, work: Work<Calls>) => Promise<Answer>
  /** What it will take, found by a worker of its own beside whatever is worked at. */
  readonly estimate?: (subject: Subject, work: Work<Calls>) => Promise<Estimate>
  /** Is it the same that was asked about? Left out: the same object. */
  readonly same?: (asked: Subject, now: Subject) => boolean
  /** Asking again ends the work in the middle of its loop; else it is left to end by itself. */
  readonly endsAtOnce?: boolean
  /** It continues while no view shows it; else it ends with the view that asked. */
  readonly continues?: boolean
}

/** Long work as a view sees it. */
export interface LongWork<Subject, Answer, Estimate> {
  readonly answer: ShallowRef<Answer | null>
  /** What was asked about last; it may be worked at still. */
  readonly asked: ShallowRef<Subject | null>
  /** What the answer is of. */
  readonly of: ShallowRef<Subject | null>
  /** The answer is of something that was changed since. */
  readonly stale: ComputedRef<boolean>
  /** The answer, where it is of what there is to ask about now. */
  readonly fresh: ComputedRef<Answer | null>
  /** null: nothing is worked at. */
  readonly progress: ShallowRef<Progress | null>
  readonly fault: Ref<string>
  readonly estimate: ShallowRef<Estimate | null>
  /** Works at what there is to ask about; null where that was cancelled, failed, or there is nothing. */
  readonly start: () => Promise<Answer | null>
  readonly findEstimate: () => Promise<void>
  /** Ends the work; the last answer stays. */
  readonly cancel: () => void
  /** Ends the work and lets the last answer go. */
  readonly forget: () => void
}

/**
 * Long work off the page's thread: asked for, with how far it is, stale when what it is of was
 * changed, cancelled, going on while away where that is wanted. The only door to workers.
 */
export function useLongWork<Calls, Subject, Answer, Estimate = never>(
  how: How<Calls, Subject, Answer, Estimate>,
): LongWork<Subject, Answer, Estimate> {
  const pool = new WorkerPool(how.spawn)
  const answer = shallowRef<Answer | null>(null)
  const asked = shallowRef<Subject | null>(null)
  const of = shallowRef<Subject | null>(null)
  const progress = shallowRef<Progress | null>(null)
  const fault = ref('')
  let turn = 0
  /** The view that would ask is gone: what it still had in mind to ask, in a moment, is asked no more. */
  let isLeft = false
  const same = how.same ?? Object.is
  const stale = computed(() => {
    const now = how.subject()
    return of.value !== null && (now === null || !same(of.value, now))
  })
  const fresh = computed(() => (stale.value ? null : answer.value))
  const side = useEstimate(how, fault)

  async function start(): Promise<Answer | null> {
    const subject = how.subject()
    if (subject === null || isLeft) return null
    if (how.endsAtOnce && progress.value) pool.cancel()
    const mine = ++turn
    fault.value = ''
    asked.value = subject
    progress.value = { done: 0, of: 1 }
    const report = (done: number, all: number) => {
      // What is reported after another was asked, or the answer has come, comes too late.
      if (mine === turn && progress.value) progress.value = { done, of: all }
    }
    try {
      const given = await how.ask(subject, { pool, report })
      if (mine !== turn) return null
      of.value = subject
      answer.value = given
      return given
    } catch (error) {
      if (mine === turn && !(error instanceof Cancelled)) fault.value = (error as Error).message
      return null
    } finally {
      if (mine === turn) progress.value = null
    }
  }

  function cancel(): void {
    turn += 1
    pool.cancel()
    progress.value = null
  }

  function forget(): void {
    cancel()
    answer.value = null
    asked.value = null
    of.value = null
    fault.value = ''
  }

  if (!how.continues) {
    tryOnScopeDispose(() => {
      isLeft = true
      cancel()
      side.cancel()
    })
  }
  const { estimate, findEstimate } = side
  return {
    answer,
    asked,
    of,
    stale,
    fresh,
    progress,
    fault,
    estimate,
    start,
    findEstimate,
    cancel,
    forget,
  }
}

function useEstimate<Calls, Subject, Answer, Estimate>(
  how: How<Calls, Subject, Answer, Estimate>,
  fault: Ref<string>,
) {
  const pool = new WorkerPool(how.spawn)
  const estimate = shallowRef<Estimate | null>(null)
  const report = () => undefined

  async function findEstimate(): Promise<void> {
    const subject = how.subject()
    if (subject === null || !how.estimate) return
    try {
      estimate.value = await how.estimate(subject, { pool, report })
    } catch (error) {
      if (!(error instanceof Cancelled)) fault.value = (error as Error).message
    }
  }

  return { estimate, findEstimate, cancel: () => pool.cancel() }
}
