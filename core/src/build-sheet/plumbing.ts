import type { BasinDesign } from '../design/index.ts'
import { memoize } from '../numeric/index.ts'
import { type Cut, cutsOf } from './cuts.ts'
import { couplingJoints, type Joint, jointsOf } from './joint.ts'
import type { BuiltRun } from './route/body.ts'
import { withRoom } from './route/make-room.ts'
import { routesOf } from './route/routes.ts'

/** The plumbing of a design as bodies, joints and cuts: what its findings are of. */
export interface Plumbing {
  readonly routes: readonly BuiltRun[]
  readonly joints: readonly Joint[]
  readonly cuts: readonly Cut[]
}

/** Bodies, joints and cuts of a design; made once. */
export const plumbingOf = memoize((design: BasinDesign): Plumbing => {
  const routes = routesOf(design).map((route) => withRoom(route, design.build?.takeOffs ?? []))
  const cuts = cutsOf(routes, design.build)
  return { routes, joints: [...routes.flatMap(jointsOf), ...couplingJoints(routes, cuts)], cuts }
})
