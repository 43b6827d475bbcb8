export { type Blocked, boxDrains, NONE_BLOCKED } from './box-drains.ts'
export { AIR_LOCK_EASES_M, BoxSearch, FILLS_OVER_M, type SiphonRuns } from './box-search.ts'
export { chamberLevelM, findSteadyState, type SteadyState } from './find-steady-state.ts'
export { type LaidDrain, layDrains, trunkOf } from './lay-drains.ts'
export { drainWaterM3, pipeWaterM3 } from './pipe-water.ts'
export { steadyState, steadyStatesSearched } from './steady-state.ts'
export { chamberAreasM2, type ChamberLevel, LEAST_AREA_M2 } from './sump-levels.ts'
export {
  boxRim,
  INNER_DEPTH_M,
  levelsOver,
  type Overflowing,
  passageHeadM,
  passageOf,
  rimOf,
  type TankLevels,
} from './tank-level.ts'
