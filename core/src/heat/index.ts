export {
  heaterWork,
  type HeaterWork,
  leavesByAirW,
  LIGHT_INTO_WATER,
  lossesW,
  MONTH_S,
  type OtherHeat,
  temperatureAtC,
  timeToTemperatureS,
  type WarmWater,
  warmingKPerS,
} from './balance.ts'
export {
  evaporationHeatW,
  evaporationOfHeatM3PerS,
  heatOfEvaporationW,
  mmPerDay,
  type RoomAir,
  vapourPressurePa,
} from './evaporation.ts'
export { conductanceWPerK, type Surfaces } from './losses.ts'
