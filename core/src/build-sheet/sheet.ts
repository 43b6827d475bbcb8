import { type BasinDesign, USUAL_BUILD } from '../design/index.ts'
import { type BeforeWater, beforeWater, type WaterInIt } from './before-water.ts'
import { apartRows, type ApartRow } from './assembly/apart-rows.ts'
import { assemblyOrder, type AssemblyOrder } from './assembly/order.ts'
import { type NamedSubAssembly, namedSubAssemblies } from './assembly/named-pieces.ts'
import { boxesToBuild, type BoxToBuild } from './box-panels.ts'
import { type Cut, type CutPlan, cutPlans } from './cuts.ts'
import { plumbingOf } from './plumbing.ts'
import { drilledSheets, type DrilledSheet } from './holes.ts'
import type { Joint } from './joint.ts'
import type { ListLine } from './list/line.ts'
import { shoppingList } from './list/shopping-list.ts'
import type { BuiltRun } from './route/body.ts'
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
  readonly apart: readonly ApartRow[]
  readonly order: AssemblyOrder
  readonly subAssemblies: readonly NamedSubAssembly[]
}

/** What to buy and to cut of a design. */
export function listAndCuts(
  design: BasinDesign,
): Pick<BuildSheet, 'routes' | 'joints' | 'cuts' | 'plans' | 'list'> {
  const plan = design.build ?? USUAL_BUILD
  const { routes, joints, cuts } = plumbingOf(design)
  const plans = cutPlans(cuts, plan)
  const list = shoppingList(design, { routes, joints, cuts, plans }, plan)
  return { routes, joints, cuts, plans, list }
}

/** The whole sheet of a design, with the water it holds as it runs. */
export function buildSheet(design: BasinDesign, water: WaterInIt): BuildSheet {
  const bought = listAndCuts(design)
  const holes = drilledSheets(design, bought.routes)
  return {
    ...bought,
    holes,
    walls: cutList(design.sump),
    boxes: boxesToBuild(design, holes),
    beforeWater: beforeWater(design, water, design.build ?? USUAL_BUILD),
    apart: apartRows(design),
    order: assemblyOrder(design),
    subAssemblies: namedSubAssemblies(design),
  }
}
