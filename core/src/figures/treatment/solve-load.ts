import type { BasinDesign } from '../../design/index.ts'
import { dryFeedKgPerDay, feedLoadKgPerM3, heavier, loadClassOf } from '../../skimmer/index.ts'
import type { NetWater } from '../gravity/net-water.ts'
import type { SolvedLoad } from './solved-treatment.ts'

/** What is fed into the water there is in all. */
export function solveLoad({ treatment }: BasinDesign, water: NetWater): SolvedLoad {
  const { feeds, otherShare, stock } = treatment
  const volumeM3 = water.displayM3 + water.sumpM3
  const dry = dryFeedKgPerDay(feeds)
  const loadKgPerM3 = feedLoadKgPerM3(dry, otherShare, volumeM3)
  return {
    systemVolumeM3: volumeM3,
    displayM3: water.displayM3,
    sumpM3: water.sumpM3,
    dryFeedKgPerDay: dry,
    loadKgPerM3,
    loadClass: loadKgPerM3 === null ? stock : heavier(stock, loadClassOf(loadKgPerM3)),
  }
}
