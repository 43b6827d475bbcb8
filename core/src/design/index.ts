export * as allowing from './allowances.ts'
export { type Allowances, NO_ALLOWANCES, swayM, USUAL_ALLOWANCES } from './allowances.ts'
export {
  chamberContents,
  givenBackM3,
  heldUpChamberId,
  skimmersGiveBackM3,
  standsInWater,
} from './contents.ts'
export {
  type BasinDesign,
  breakHoleM,
  byId,
  type DisplayTank,
  type LineEnd,
  type LineStart,
  type OwnDrill,
  partOf,
  type PlacedPump,
  type ReturnLine,
  type ReturnSide,
  runningSpeed,
  surfaceM,
  type Tariff,
} from './design.ts'
export type { Cabinet, CabinetDoor, Device, Lamp } from './devices.ts'
export {
  applyEdits,
  type At,
  type Edit,
  type EditData,
  type EditPath,
  insertAt,
  setTo,
} from './edit.ts'
export { airAt, evaporationMmPerDay } from './evaporation.ts'
export type { HeatPlan } from './heat-plan.ts'
export { chamberAt, isInChamber, isInPlan, middleOfChamber, planOf } from './in-chamber.ts'
export { onDay } from './lamp-hours.ts'
export { drainAtTee, isJoined, isTeeMet, lineAtTee } from './meets-tee.ts'
export type {
  Drain,
  DrainRole,
  DrilledPanel,
  Hole,
  InletForm,
  Landing,
  Overflow,
  OverflowBox,
  OverflowForm,
  OverflowPlace,
  PanelGlass,
  Passage,
} from './overflow.ts'
export { setAlike } from './set-alike.ts'
export {
  type ChamberSpan,
  chamberSpans,
  type ChamberUse,
  type Sump,
  type SumpBox,
  type SumpChamber,
  type SumpWall,
  type TopOff,
} from './sump.ts'
export type { TreatmentPlan } from './treatment-plan.ts'
export { pumpTooLarge, type TooLarge } from './pump-room.ts'
export {
  type BuildPlan,
  type CornerReadings,
  type PanelMaterial,
  type TankPanels,
  USUAL_BUILD,
} from './build-plan.ts'
