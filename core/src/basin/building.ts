import { type BuildSheet, buildSheet } from '../build-sheet/index.ts'
import type { BasinDesign } from '../design/index.ts'
import { figuresOf } from '../figures/index.ts'
import {
  BUILD_CODES,
  type Finding,
  findingsOfBuilding,
  bySeverity,
  wholeOf,
} from '../finding/index.ts'
import { judged } from '../judge/index.ts'
import { steadyState } from '../loop/index.ts'
import type { SolvedBasin } from './solved-basin.ts'

export { AS_USUAL as MADE_AS_USUAL } from '../run/index.ts'
export type { PipeSize } from '../pipe/index.ts'

export {
  addedUp,
  type ApartRow,
  type OrderedStep,
  BODY_NAME,
  costOf,
  type BeforeWater,
  type BoxToBuild,
  type Body,
  type BuildPlan,
  type BuildSheet,
  type CornerReadings,
  type Cut,
  cutList,
  type CutPanel,
  type CutPlan,
  type DrilledSheet,
  type EndKind,
  HAND,
  type HadFault,
  type HadLine,
  type Isometric,
  type IsometricBar,
  type IsometricJoint,
  type IsometricOf,
  isometricOf,
  isometricsOf,
  type IsometricSign,
  type Joint,
  type ListLine,
  type OwnTakeOff,
  type PieceMade,
  PANEL_NAME,
  readHave,
  type BuiltRun,
  SHOP_GROUPS,
  takeOffsOf,
  type ShopGroup,
  type PaperSpot,
  type TankPanels,
  type TitledIsometric,
  toBuy,
  type Turn,
  USUAL_BUILD,
  WRENCH,
} from '../build-sheet/index.ts'

/** The sheet of a solved design: what to buy, cut and drill, and what to know before water. */
export function sheetOf(
  design: BasinDesign,
  { treatment }: Pick<SolvedBasin, 'treatment'>,
): BuildSheet {
  const { displayM3: tanksM3, sumpM3 } = treatment.load
  return buildSheet(design, { tanksM3, sumpM3 })
}

/** What is found of a design as it is built, the worst first; beside what its water says. */
export function buildFindings(given: BasinDesign): Finding[] {
  const steady = steadyState(given)
  return findingsOfBuilding(wholeOf(steady, judged(steady, figuresOf(steady))))
}

/** Is it found of a design as it is built? */
export const isOfBuilding = ({ code }: Pick<Finding, 'code'>): boolean => BUILD_CODES.has(code)

/** A solved design with what is found of it as it is built, among its other findings; the worst first. */
export function withBuilding(solved: SolvedBasin, found: readonly Finding[]): SolvedBasin {
  if (found.length === 0) return solved
  return { ...solved, findings: bySeverity([...solved.findings, ...found]) }
}
