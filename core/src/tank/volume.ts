/** A rectangular tank by its inside sizes, m; heights stand on its own inside floor. */
export interface TankBox {
  readonly lengthM: number
  readonly widthM: number
  readonly heightM: number
  /** Height at which it spills: the top of its panels, or a brace's or notch's lower edge. */
  readonly rimM: number
  readonly waterLevelM: number
}

/** What stands in the water and takes its place. */
export interface Displacement {
  readonly rockMassKg: number
  /** Mass of rock over the water it pushes aside; about 2 000 for porous reef rock. */
  readonly rockDensityKgPerM3: number
  readonly sandMassKg: number
  /** Of the grains, not of the bed: 2 700 for aragonite and calcite sands, near enough. */
  readonly sandGrainDensityKgPerM3: number
}

/** Share of a settled sand bed that is water between the grains (choice; sands run 0.35–0.45). */
const SAND_POROSITY = 0.4

function floorAreaM2({ lengthM, widthM }: TankBox): number {
  return lengthM * widthM
}

/** All that stands below the water's surface: L × W × level. */
export function grossVolumeM3(tank: TankBox): number {
  return floorAreaM2(tank) * tank.waterLevelM
}

/** Water that rock takes the place of, m³. */
export function rockVolumeM3({ rockMassKg, rockDensityKgPerM3 }: Displacement): number {
  return rockMassKg / rockDensityKgPerM3
}

/** Water that sand's grains take the place of, m³. */
export function sandVolumeM3({ sandMassKg, sandGrainDensityKgPerM3 }: Displacement): number {
  return sandMassKg / sandGrainDensityKgPerM3
}

/** Depth of the sand bed when it is raked level. */
export function sandDepthM(tank: TankBox, displacement: Displacement): number {
  return sandVolumeM3(displacement) / (1 - SAND_POROSITY) / floorAreaM2(tank)
}
