import { watch } from 'vue'
import { useTrial } from '../calc/trial.ts'
import { useDesign } from '../workspace/design-store.ts'

/** What is found of the shown design as it is built, at every stop: from the worker, after the frame. */
export function useBuiltFindings(): void {
  const store = useDesign()
  const work = useTrial(
    () => (store.shown ? { design: store.shown } : null),
    (calls) => calls.buildFindings(),
  )
  // Those of another basin are not this one's.
  watch(
    () => store.basin?.id,
    () => store.hearBuilding([]),
  )
  watch(work.fresh, (findings) => findings && store.hearBuilding(findings))
}
