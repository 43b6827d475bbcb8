import { asItRuns, type BasinDesign, lastWord, solveBasin, type Verdict } from '@yew-basin/core'
import { computed, type Ref, shallowRef } from 'vue'

/** What the drills of a design came to. */
interface Drilled {
  readonly of: BasinDesign
  readonly verdicts: ReadonlyMap<string, Verdict>
}

/** What is solved of what is shown: at once (`steady`), and with its drills' word where they have been run for just this design. */
export function useSolved(shown: Readonly<Ref<BasinDesign | null>>) {
  const drilled = shallowRef<Drilled | null>(null)
  const steady = computed(() => (shown.value ? solveBasin(shown.value) : null))
  const solved = computed(() => {
    if (!steady.value || drilled.value?.of !== shown.value) return steady.value
    return lastWord.withLastWord(steady.value, drilled.value.verdicts)
  })
  function hearDrills(of: BasinDesign, verdicts: Drilled['verdicts']): void {
    drilled.value = { of, verdicts }
  }
  /** The design with its water where it was solved to stand. */
  const running = computed(() =>
    shown.value && solved.value ? asItRuns(shown.value, solved.value) : null,
  )
  return { steady, solved, running, hearDrills }
}
