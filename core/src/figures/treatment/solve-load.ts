import type { BasinDesign } from '../../design/index.ts'
import {
  dryFeedKgPerDay,
  feedLoadKgPerM3,
  heavier,
  loadClassOf,
  systemVolumeM3,
} from '../../skimmer/index.ts'
import type { RunningOverflow, RunningSump } from '../gravity/solved-gravity.ts'
import type { SolvedTank } from '../return/solved.ts'
import type { SolvedLoad } from './solved-treatment.ts'

/** The water there is in all, and what is fed into it. */
export function solveLoad(
  design: BasinDesign,
  tanks: readonly SolvedTank[],
  overflows: readonly RunningOverflow[],
  sump: RunningSump,
): SolvedLoad {
  const { feeds, otherShare, stock } = design.treatment
  const sum = (of: 'grossVolumeM3' | 'rockVolumeM3' | 'sandVolumeM3') =>
    tanks.reduce((total, tank) => total + tank[of], 0)
  const volumeM3 = systemVolumeM3({
    displayM3: sum('grossVolumeM3'),
    boxM3: boxesM3(design, overflows),
    sumpM3: sump.volumeM3 ?? 0,
    rockM3: sum('rockVolumeM3'),
    sandM3: sum('sandVolumeM3'),
    // What stands in the sump is out of its volume already.
    equipmentM3: 0,
  })
  const dry = dryFeedKgPerDay(feeds)
  const loadKgPerM3 = feedLoadKgPerM3(dry, otherShare, volumeM3)
  return {
    systemVolumeM3: volumeM3,
    dryFeedKgPerDay: dry,
    loadKgPerM3,
    loadClass: loadKgPerM3 === null ? stock : heavier(stock, loadClassOf(loadKgPerM3)),
  }
}

/** Water in boxes behind the tanks' panels; a box inside a tank takes its place there and holds less. */
function boxesM3({ tanks }: BasinDesign, overflows: readonly RunningOverflow[]): number {
  return overflows.reduce((sum, { tankId, boxM, surfaceM }) => {
    const tank = tanks.find(({ id }) => id === tankId)!
    const { overflow, floorHeightM } = tank
    if (!overflow?.box || boxM === null) return sum
    const areaM2 = overflow.box.lengthM * overflow.box.widthM
    const insideM = surfaceM - floorHeightM - overflow.box.floorM
    const depthM = Math.max(0, boxM - floorHeightM - overflow.box.floorM)
    return sum + areaM2 * (overflow.form === 'inner-box' ? depthM - insideM : depthM)
  }, 0)
}
