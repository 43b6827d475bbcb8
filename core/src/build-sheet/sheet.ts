import { type BasinDesign, USUAL_BUILD } from '../design/index.ts'
import { memoize } from '../numeric/index.ts'
import { type BeforeWater, beforeWater, type WaterInIt } from './before-water.ts'
import { boxesToBuild, type BoxToBuild } from './box-panels.ts'
import { type Cut, type CutPlan, cutPlans, cutsOf } from './cuts.ts'
import { drilledSheets, type DrilledSheet } from './holes.ts'
import { couplingJoints, type Joint, jointsOf } from './joint.ts'
import type { ListLine } from './list/line.ts'
import { shoppingList } from './list/shopping-list.ts'
import type { BuiltRun } from './route/body.ts'
import { withRoom } from './route/make-room.ts'
import { routesOf } from './route/routes.ts'
import { cutList, type CutPanel } from './sump-walls.ts'

/** A design as it is built: what to buy, cut, drill and know before water. */
export interface BuildSheet {
  readonly routes: readonly BuiltRun[]
  readonly joints: readonly Joint[]
  readonly cuts: readonly Cut[]
  readonly plans: readonly CutPlan[]
  readonly list: readonly ListLine[]
  readonly holes: readonly DrilledSheet[]
  readonly walls: readonly CutPanel[]
  readonly boxes: readonly BoxToBuild[]
  readonly beforeWater: BeforeWater
}

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

/** The whole sheet of a design, with the water it holds as it runs. */
export function buildSheet(design: BasinDesign, water: WaterInIt): BuildSheet {
  const plan = design.build ?? USUAL_BUILD
  const { routes, joints, cuts } = plumbingOf(design)
  const plans = cutPlans(cuts, plan)
  const holes = drilledSheets(design, routes)
  return {
    routes,
    joints,
    cuts,
    plans,
    list: shoppingList(design, { routes, joints, cuts, plans }, plan),
    holes,
    walls: cutList(design.sump),
    boxes: boxesToBuild(design, holes),
    beforeWater: beforeWater(design, water, plan),
  }
}
