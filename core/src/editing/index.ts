export { addPump, type PumpUse } from './branch/add-pump.ts'
export { type BranchKind, teeOff } from './branch/tee-off.ts'
export { moveDrainEnd, moveMouth } from './branch/move-mouth.ts'
export { mayBeTeedOff, teeOffDevice } from './branch/tee-off-device.ts'
export { asTree, hangingOn, withoutLine } from './branch/tree.ts'
export { choosePump } from './choose-pump.ts'
export { otherOverflow, withoutOverflow } from './gravity/change-overflow.ts'
export { joinDrain, mayJoin } from './gravity/join-drain.ts'
export { drainSize, laidAnew, newDrains, oneMoreDrain, RIGID } from './gravity/new-drains.ts'
export { NEW_GUARD, NEW_TEETH, newOverflow } from './gravity/new-overflow.ts'
export { valveAtMatch } from './gravity/keep-tuned.ts'
export { DRAIN_SCHOOLS, type DrainSchool } from './gravity/schools.ts'
export { tuneAlike, tuneValve } from './gravity/tune-valve.ts'
export { following, goesAlong, tuned, turnedByHand, withFollowing } from './follow/following.ts'
export { devicesOfPieces } from './devices-of-pieces.ts'
export {
  type ChangedPart,
  changedParts,
  type KeptParts,
  type PartChange,
} from './part/changed-parts.ts'
export { deviceSwappedIn, newCabinet, newDevice } from './new-device.ts'
export { type Around, devicePiece, endOfRun, newPiece } from './run/new-piece.ts'
export { holdFlows } from './setting/hold-flows.ts'
export {
  openingFor,
  settingValve,
  type SettingValve,
  valveLossM,
  valvePath,
} from './setting/openings.ts'
export { ownValve, valveForFlow } from './setting/valve-for-flow.ts'
export { mouthKept, stretchEdits } from './stretch.ts'
export { schoolEdits } from './lay-school.ts'
export { sensorEdits } from './level-sensor.ts'
export { COMMON_SIZES } from '../sump/index.ts'
export { newSump, newSumpBox } from './sump/new-sump.ts'
export {
  entryOf,
  leastLengthM,
  reordered,
  sumpEdits,
  type TriedLayout,
  tryLayout,
  withChamber,
  withHeight,
  withLength,
  withoutChamber,
} from './sump/sump-edits.ts'
export { flowOfTurnover, turnoverOfFlow } from './turnover.ts'
export { wallOfKind, wallRange } from './sump/wall-edits.ts'
export { resizedTank } from './tank/resized-tank.ts'
export { copyOverflow, mayCopyOverflow } from './tank/copy-overflow.ts'
export {
  chamberLengthRange,
  outWallOf,
  wallHolding,
  withChamberLength,
} from './sump/chamber-size.ts'
