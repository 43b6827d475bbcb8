import type { building } from '@yew-basin/core'
import { useTrial } from '../calc/trial.ts'
import { useDesign } from '../workspace/design-store.ts'

/** An isometric of the design as it is shown, worked out after the frame; the last one until the next is there. */
export function useIsometric(of: () => building.IsometricOf | null, turn: () => building.Turn) {
  const store = useDesign()
  const work = useTrial(
    () => {
      const asked = of()
      return store.shown && asked ? { design: store.shown, of: asked, turn: turn() } : null
    },
    (calls, asked) => calls.isometric(asked.of, asked.turn),
  )
  return work.answer
}
