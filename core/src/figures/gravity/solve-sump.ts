import { type ChamberSpan, chamberSpans, type SumpBox } from '../../design/index.ts'
import { waterAt } from '../../fluid/index.ts'
import { chamberAreasM2, type ChamberLevel, type SteadyState } from '../../loop/index.ts'
import {
  bubbleOfSpeedM,
  CARRIES_ALL_M_PER_S,
  downwardSpeed,
  sectionSpeed,
  throughflowS,
} from '../../sump/index.ts'
import { chamberBandsM } from './level-bands.ts'
import { chamberWaterM3, sumpWaterM3 } from './net-water.ts'
import type { RunningSump, SolvedChamber, SolvedTrap } from './solved-gravity.ts'
import { solveWaterUse } from './water-use.ts'

/** The sump as it runs; `flowShare`: by which what comes into it may be off. */
export function solveSump(steady: SteadyState, flowShare = 0): RunningSump {
  const { sump } = steady.design
  const { box } = sump
  const returnChamberId = sump.chambers[steady.returnIndex]!.id
  if (!box) {
    const chambers = steady.chambers.map((level, i) => unsized(level, sump.chambers[i]!.id))
    return { returnChamberId, chambers, volumeM3: null, waterUse: null }
  }
  const spans = chamberSpans(steady.given.sump, box.lengthM)
  const areasM2 = chamberAreasM2(steady.given.sump, box)
  const bandsM = chamberBandsM(steady, box.floorHeightM, flowShare)
  const chambers = steady.chambers.map((level, i) =>
    sized(steady, box, level, {
      index: i,
      span: spans[i]!,
      areaM2: areasM2[i]!,
      levelBandM: bandsM[i]!,
      flowShare,
    }),
  )
  return {
    returnChamberId,
    chambers,
    volumeM3: sumpWaterM3(steady),
    waterUse: solveWaterUse(steady, box, areasM2),
  }
}

function unsized(level: ChamberLevel, chamberId: string): SolvedChamber {
  return {
    chamberId,
    ...level,
    levelBandM: 0,
    throughBandM3PerS: 0,
    depthM: null,
    lengthM: null,
    areaM2: null,
    volumeM3: null,
    freeboardM: null,
    throughflowS: null,
    speedMPerS: null,
    trap: null,
  }
}

/** Where a chamber stands in the sump, and its water's surface. */
interface Place {
  readonly index: number
  readonly span: ChamberSpan
  readonly areaM2: number
  readonly levelBandM: number
  readonly flowShare: number
}

function sized(
  steady: SteadyState,
  box: SumpBox,
  level: ChamberLevel,
  place: Place,
): SolvedChamber {
  const { areaM2, index } = place
  const lengthM = place.span.toM - place.span.fromM
  const chamber = steady.design.sump.chambers[index]!
  const depthM = level.levelM - box.floorHeightM
  const volumeM3 = chamberWaterM3(steady, box, index, areaM2)
  const flows = level.throughM3PerS > 0
  return {
    chamberId: chamber.id,
    levelM: level.levelM,
    levelBandM: place.levelBandM,
    throughBandM3PerS: place.flowShare * level.throughM3PerS,
    throughM3PerS: level.throughM3PerS,
    starved: level.starved,
    spills: level.spills,
    apart: level.apart,
    depthM,
    lengthM,
    areaM2,
    volumeM3,
    freeboardM: box.heightM - depthM,
    throughflowS: flows ? throughflowS(volumeM3, level.throughM3PerS) : null,
    speedMPerS: flows ? sectionSpeed(level.throughM3PerS, box.widthM, depthM) : null,
    trap: flows ? trapOf(steady, box, index, lengthM) : null,
  }
}

/** A chamber whose water comes in over a wall and leaves under one goes down in it. */
function trapOf(steady: SteadyState, box: SumpBox, i: number, gapM: number): SolvedTrap | null {
  const { walls } = steady.design.sump
  const rightward = i < steady.returnIndex
  if (i === steady.returnIndex) return null
  const inward = walls[rightward ? i - 1 : i]
  const outward = walls[rightward ? i : i - 1]
  const over = !inward || inward.kind === 'over' || inward.kind === 'comb'
  if (!over || outward?.kind !== 'under') return null
  const downMPerS = downwardSpeed(steady.chambers[i]!.throughM3PerS, box.widthM, gapM)
  const all = downMPerS >= CARRIES_ALL_M_PER_S
  const water = waterAt(steady.design.water)
  return { downMPerS, largestBubbleM: all ? null : bubbleOfSpeedM(downMPerS, water) }
}
