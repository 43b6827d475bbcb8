export { bubbleOfSpeedM, CARRIES_ALL_M_PER_S, downwardSpeed } from './bubble.ts'
export { COMMON_SIZES } from './common-sizes.ts'
export { insideM, panelWidthM } from './panel.ts'
export { sectionSpeed, throughflowS } from './throughflow.ts'
export { crestM, levelAbove, wallFlow, type WallKind, type WallShape } from './wall.ts'
export {
  evaporationM3PerS,
  reservoirLastsS,
  salinityAfterTopOff,
  timeToFallS,
} from './water-use.ts'
