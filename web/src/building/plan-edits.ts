import { type BasinDesign, building, setTo } from '@yew-basin/core'
import { useDesign } from '../workspace/design-store.ts'

/** What was said of building, or what is usual. */
export function buildPlanOf(design: BasinDesign | null): building.BuildPlan {
  return design?.build ?? building.USUAL_BUILD
}

/** Says something of building: the rest stays as it is, or as usual. */
export function usePlan() {
  const store = useDesign()
  return {
    set: (more: Partial<building.BuildPlan>) =>
      store.edit([setTo(['build'], { ...buildPlanOf(store.design), ...more })]),
  }
}

/** Beside a field of building that nobody has set: the usual figure stands in it. */
export function usualHint<Name extends keyof building.BuildPlan>(
  plan: building.BuildPlan,
  name: Name,
): string {
  return plan[name] === building.USUAL_BUILD[name] ? 'Assumed, as is usual.' : ''
}
