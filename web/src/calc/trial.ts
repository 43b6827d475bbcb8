import type { BasinDesign } from '@yew-basin/core'
import { watchDebounced } from '@vueuse/core'
import type { Remote } from 'comlink'
import { computed } from 'vue'
import type { CoreCalls } from './core-calls.ts'
import { useLongWork, type LongWork } from './long-work.ts'
import { ofDesign } from './of-design.ts'
import { spawnShared } from './spawn.ts'

/** A field that is being typed in is not tried at every key, ms. */
const PAUSE_MS = 60

/** A design, and what is asked about it. */
export interface TrialOf {
  readonly design: BasinDesign
}

/**
 * Something tried on a design as soon as it, or what is asked, changes: other pumps, fixes, layouts. Short
 * work of one worker that all panels share.
 */
export function useTrial<Subject extends TrialOf, Answer>(
  subject: () => Subject | null,
  ask: (
    calls: Remote<CoreCalls>,
    subject: Subject,
    report: (done: number, of: number) => void,
  ) => Promise<Answer>,
): LongWork<Subject, Answer, never> {
  const now = computed(subject)
  const work = useLongWork({
    spawn: spawnShared,
    subject: () => now.value,
    ask: (asked: Subject, { pool, report }) =>
      pool.one((calls: Remote<CoreCalls>) => ask(ofDesign(calls, asked.design), asked, report)),
  })
  watchDebounced(now, () => void work.start(), { immediate: true, debounce: PAUSE_MS })
  return work
}
