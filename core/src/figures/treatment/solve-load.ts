import type { BasinDesign } from '../../design/index.ts'
import { dryFeedKgPerDay, feedLoadKgPerM3, heavier, loadClassOf } from '../../skimmer/index.ts'
import type { NetWater } from '../gravity/net-water.ts'
import type { DayLoad, SolvedLoad } from './solved-treatment.ts'

/** What is fed into the water there is in all. */
export function solveLoad({ treatment }: BasinDesign, water: NetWater): SolvedLoad {
  const { feeds, otherShare, stock } = treatment
  const volumeM3 = water.displayM3 + water.sumpM3
  const ofDay = (dryKg: number): DayLoad => {
    const loadKgPerM3 = feedLoadKgPerM3(dryKg, otherShare, volumeM3)
    return {
      dryFeedKgPerDay: dryKg,
      loadKgPerM3,
      loadClass: loadKgPerM3 === null ? stock : heavier(stock, loadClassOf(loadKgPerM3)),
    }
  }
  const dry = dryFeedKgPerDay(feeds)
  const least = ofDay(dry.least)
  return {
    systemVolumeM3: volumeM3,
    displayM3: water.displayM3,
    sumpM3: water.sumpM3,
    least,
    most: dry.most === dry.least ? least : ofDay(dry.most),
  }
}
