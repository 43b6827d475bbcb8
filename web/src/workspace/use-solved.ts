import {
  asItRuns,
  type BasinDesign,
  building,
  type Finding,
  lastWord,
  solveBasin,
  type Verdict,
} from '@yew-basin/core'
import { computed, type Ref, shallowRef } from 'vue'

/** What the drills of a design came to. */
interface Drilled {
  readonly of: BasinDesign
  readonly verdicts: ReadonlyMap<string, Verdict>
}

/** What is solved of what is shown: at once (`steady`), with its drills' word where they have been run for just this design, and with what is found of it as it is built. */
export function useSolved(shown: Readonly<Ref<BasinDesign | null>>) {
  const drilled = shallowRef<Drilled | null>(null)
  const steady = computed(() => (shown.value ? solveBasin(shown.value) : null))
  /** Of the design as it is built; what was found last stands until the next is heard. */
  const built = shallowRef<readonly Finding[]>([])
  const drilledToo = computed(() => {
    if (!steady.value || drilled.value?.of !== shown.value) return steady.value
    return lastWord.withLastWord(steady.value, drilled.value.verdicts)
  })
  const solved = computed(
    () => drilledToo.value && building.withBuilding(drilledToo.value, built.value),
  )
  function hearDrills(of: BasinDesign, verdicts: Drilled['verdicts']): void {
    drilled.value = { of, verdicts }
  }
  function hearBuilding(findings: readonly Finding[]): void {
    if (findings.length > 0 || built.value.length > 0) built.value = findings
  }
  /** The design with its water where it was solved to stand. */
  const running = computed(() =>
    shown.value && solved.value ? asItRuns(shown.value, solved.value) : null,
  )
  return { steady, solved, running, hearDrills, hearBuilding }
}
