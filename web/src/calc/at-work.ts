import { computed, shallowReactive, type ComputedRef, type Ref } from 'vue'
import type { Progress } from './long-work.ts'

/** Long work that goes on while its view is left. */
export interface LeftWork {
  /** What is worked at: "Field". */
  readonly words: string
  /** The address that leads back to it. */
  readonly to: () => string | null
  readonly progress: Readonly<Ref<Progress | null>>
}

const all = shallowReactive(new Set<LeftWork>())

/** Work that has a chip in the header while it goes on. */
export function hasChip(work: LeftWork): void {
  all.add(work)
}

/** The work that goes on now, wherever it was begun. */
export const useAtWork = (): ComputedRef<readonly LeftWork[]> =>
  computed(() => [...all].filter(({ progress, to }) => progress.value !== null && to() !== null))
