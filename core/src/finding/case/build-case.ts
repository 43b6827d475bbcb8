import {
  type Cut,
  type Joint,
  type Plumbing,
  plumbingOf,
  type BuiltRun,
} from '../../build-sheet/index.ts'
import type { BasinDesign } from '../../design/index.ts'
import type { Case } from '../rule.ts'
import type { Station } from '../severity.ts'
import type { Whole } from './whole.ts'

/** A run as it is built. */
export interface RouteCase extends Case {
  readonly whole: Whole
  readonly design: BasinDesign
  readonly plumbing: Plumbing
  readonly route: BuiltRun
  readonly station: Station
}

/** A piece to cut, and the run it is of. */
export interface CutCase extends RouteCase {
  readonly cut: Cut
}

/** A joint, and the run it is of. */
export interface JointCase extends RouteCase {
  readonly joint: Joint
}

/** Every run of a design. */
export function routeCases(whole: Whole): RouteCase[] {
  const { design } = whole
  const plumbing = plumbingOf(design)
  return plumbing.routes.map((route) => ({
    whole,
    design,
    plumbing,
    route,
    station: route.of === 'line' ? 'return' : 'drains',
    where: route.of === 'line' ? { lineId: route.id } : { drainId: route.id },
  }))
}

/** Every piece to cut of a run. */
export function cutCases(of: RouteCase): CutCase[] {
  return of.plumbing.cuts
    .filter(({ routeId }) => routeId === of.route.id)
    .map((cut) => ({ ...of, cut }))
}

/** Every joint of a run. */
export function jointCases(of: RouteCase): JointCase[] {
  return of.plumbing.joints
    .filter(({ routeId }) => routeId === of.route.id)
    .map((joint) => ({ ...of, joint }))
}
