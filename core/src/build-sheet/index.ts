export {
  type BuildPlan,
  type CornerReadings,
  type TankPanels,
  USUAL_BUILD,
} from '../design/index.ts'
export { type OwnTakeOff, type TakeOffKind } from '../fitting/index.ts'
export type { EndKind, PieceMade } from '../run/index.ts'
export { type Adapter, endWords, sizeThatMeets } from './adapter.ts'
export { type ApartRow, type JointToUndo, partName } from './assembly/apart-rows.ts'
export {
  type ComesApart,
  comesApart,
  type GluedPipe,
  gluedPipesOf,
  pipesAmong,
} from './assembly/comes-apart.ts'
export { type AssemblyOrder, assemblyOrder, type OrderedStep } from './assembly/order.ts'
export { type RigidChain, rigidChains } from './assembly/rigid.ts'
export type { ThingKind } from './assembly/things.ts'
export {
  type Isometric,
  type IsometricBar,
  type IsometricJoint,
  type IsometricOf,
  isometricOf,
  type IsometricSign,
} from './isometric/isometric.ts'
export { isometricsOf, type TitledIsometric } from './isometric/all.ts'
export type { PaperSpot, Turn } from './isometric/paper.ts'
export type { BoxPanel, BoxSide, BoxToBuild } from './box-panels.ts'
export type { BeforeWater } from './before-water.ts'
export { type Cut, type CutPlan, takeOffsOf } from './cuts.ts'
export { type DrilledSheet, PANEL_NAME } from './holes.ts'
export type { Joint } from './joint.ts'
export { type ListLine, SHOP_GROUPS, type ShopGroup } from './list/line.ts'
export type { Body, BuiltRun, Span } from './route/body.ts'
export { spigotSpanM } from './route/spigot.ts'
export { type Plumbing, plumbingOf } from './plumbing.ts'
export { toolFor } from './reach/reach.ts'
export { HAND, WRENCH } from './reach/ring.ts'
export { type BuildSheet, buildSheet, listAndCuts } from './sheet.ts'
export { cutList, type CutPanel } from './sump-walls.ts'
export { type HadFault, type HadLine, readHave } from './list/read-have.ts'
export { toBuy } from './list/to-buy.ts'
export { nest } from './nesting.ts'
export { addedUp, costOf } from './list/cost.ts'
export { BODY_NAME } from './list/names.ts'
