export { type DyeFrame, type DyeVerdict, FRAME_FULL, runDye } from './dye.ts'
export { eddyViscosity } from './eddies.ts'
export { type FieldPlan, planField, updatesOf } from './field-plan.ts'
export { type Field, type FieldFigure, motionAt } from './field.ts'
export { cellAt, type Fineness, type Grid, ROCK, SAND, WATER } from './grid.ts'
export {
  type FieldVerdict,
  judgeField,
  shareAsWanted,
  tankTurnoverPerH,
  type WaterSpot,
  type ZoneVerdict,
} from './judge.ts'
export { type PackedField, packedFieldFault, packField, unpackField } from './pack-field.ts'
export { type Placement, type PlacementSearch, placePumps } from './place-pumps.ts'
export { alongJet, envelopeOf, type Obstacle, type Reach, reaches } from './quick-look.ts'
export { ROCK_LAYOUTS, rockLayout, type RockLayoutName } from './rock-layouts.ts'
export { runField, tryPace } from './run-field.ts'
export { seatFault, type SeatFault, seatNearest } from './seat.ts'
export { settingMark } from './setting-mark.ts'
export { type Block, settingOf, type WaterSetting } from './setting.ts'
export { type Start, START_NAMES, startLayout, type StartName } from './starts.ts'
export { type Streamline, streamlines } from './streamlines.ts'
export { aimedAt, openingOf, type Stream, towardsOf } from './streams.ts'
