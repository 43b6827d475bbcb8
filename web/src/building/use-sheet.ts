import { building } from '@yew-basin/core'
import { computed } from 'vue'
import { useTrial } from '../calc/trial.ts'
import { useDesign } from '../workspace/design-store.ts'

/** The sheet of the design as it is shown, a previewed change in it, and what is found of it as it is built; worked out after the frame. */
export function useSheet() {
  const store = useDesign()
  const work = useTrial(
    () => (store.shown ? { design: store.shown } : null),
    (calls) => calls.sheet(),
  )
  return {
    /** The last sheet there is, until the next is there. */
    sheet: work.answer,
    findings: computed(() => (store.solved?.findings ?? []).filter(building.isOfBuilding)),
    fault: work.fault,
  }
}
