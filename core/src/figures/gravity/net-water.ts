import type { DisplayTank, SumpBox } from '../../design/index.ts'
import { chamberAreasM2, type SteadyState } from '../../loop/index.ts'
import { systemVolumeM3 } from '../../skimmer/index.ts'
import { grossVolumeM3, rockVolumeM3, sandVolumeM3 } from '../../tank/index.ts'

/** The salt water of a system as it runs: the fresh top-off reservoir, pipes and hung equipment apart. */
export interface NetWater {
  /** In tanks and their overflow boxes, less rock and sand grains. */
  readonly displayM3: number
  /** In the sump's chambers, less what stands in them. */
  readonly sumpM3: number
}

/** The net water of a steady state. */
export function netWater(steady: SteadyState): NetWater {
  const { design, tankLevels } = steady
  const displayM3 = design.tanks.reduce((sum, tank, i) => {
    const level = tankLevels[i]
    const boxM3 = level && level.boxM !== null ? boxVolumeM3(tank, level.boxM, level.surfaceM) : 0
    const netM3 = systemVolumeM3({
      displayM3: grossVolumeM3(tank),
      boxM3,
      sumpM3: 0,
      rockM3: rockVolumeM3(tank.displacement),
      sandM3: sandVolumeM3(tank.displacement),
      equipmentM3: 0,
    })
    return sum + netM3
  }, 0)
  return { displayM3, sumpM3: sumpWaterM3(steady) }
}

/** Is a chamber the fresh water's, parted from the rest? */
export function isReservoir({ design, chambers }: SteadyState, index: number): boolean {
  return design.sump.chambers[index]!.use === 'reservoir' && chambers[index]!.apart
}

/** The salt water in a sump's chambers; nil where the sump's box is not set. */
export function sumpWaterM3(steady: SteadyState): number {
  const { sump } = steady.design
  const { box } = sump
  if (!box) return 0
  const areasM2 = chamberAreasM2(steady.given.sump, box)
  return sump.chambers.reduce(
    (sum, _, i) =>
      isReservoir(steady, i) ? sum : sum + chamberWaterM3(steady, box, i, areasM2[i]!),
    0,
  )
}

/** Water in a chamber, less what stands in it. */
export function chamberWaterM3(
  { design, chambers }: SteadyState,
  { floorHeightM }: SumpBox,
  index: number,
  areaM2: number,
): number {
  const depthM = chambers[index]!.levelM - floorHeightM
  return Math.max(0, areaM2 * depthM - design.sump.chambers[index]!.submergedM3)
}

/** Water in a box behind the tank's panel; one inside the tank takes its place there and holds less. */
function boxVolumeM3(
  { overflow, floorHeightM }: DisplayTank,
  boxM: number,
  surfaceM: number,
): number {
  if (!overflow?.box) return 0
  const areaM2 = overflow.box.lengthM * overflow.box.widthM
  const floorM = floorHeightM + overflow.box.floorM
  const depthM = Math.max(0, boxM - floorM)
  return areaM2 * (overflow.form === 'inner-box' ? depthM - (surfaceM - floorM) : depthM)
}
