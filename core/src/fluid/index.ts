export { salinityFromConductivityPpt } from './conductivity.ts'
export { freshDensityKgPerM3, specificGravity } from './density.ts'
export { conductivityMSPerCm, salinityFromSpecificGravityPpt } from './salinity.ts'
export { GRAVITY_M_PER_S2, type Water, waterAt, type WaterReading } from './water.ts'
