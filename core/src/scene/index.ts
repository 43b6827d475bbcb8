export { type CirculationPart, openingM2, powerAtW } from './part.ts'
export {
  levelAt,
  meanCubeLevel,
  meanSquareLevel,
  type Pattern,
  type PatternKind,
} from './pattern.ts'
export { isInside, type RockSolid, solidVolumeM3 } from './rock.ts'
export {
  type CirculationPump,
  emptyScene,
  type NozzleAim,
  type ScenePanel,
  type TankScene,
} from './scene.ts'
export {
  DEAD_M_PER_S,
  DEFAULT_RANGES,
  LIFT_M_PER_S,
  type WantedRange,
  type ZoneKind,
} from './zones.ts'
