import { gather } from '../../numeric/gather.ts'
import { tubeFroude, primeVerdict } from '../../drain/hung.ts'
import { LEAST_MEASURED_HEAD_M } from '../../weir/smooth.ts'
import { flowOver } from '../../weir/rim.ts'
import type { BlockedRow, SolvedOverflow } from '../solved-gravity.ts'
import type { LaidDrain } from './lay-drains.ts'
import type { Settled } from './settle.ts'
import {
  boxRim,
  levelsOver,
  passageHeadM,
  type Overflowing,
  type TankLevels,
} from './tank-level.ts'

/** The overflow of one tank as it runs. */
export function solveOverflow(
  settled: Settled,
  one: Overflowing,
  levels: TankLevels,
  flowM3PerS: number,
): SolvedOverflow {
  const { tank, overflow, rim } = one
  const tube = overflow.passage?.kind === 'siphon' ? overflow.passage : null
  const froude = tube ? tubeFroude(tube.boreM, flowM3PerS / tube.count) : null
  const leastOpeningM = leastOpening(one)
  return {
    tankId: tank.id,
    flowM3PerS,
    crestM: tank.floorHeightM + overflow.crestM,
    surfaceM: levels.surfaceM,
    boxM: levels.boxM,
    headM: levels.headM,
    spills: levels.spills,
    innerM: Number.isFinite(levels.innerM) ? levels.innerM : null,
    boxRimM: tank.floorHeightM + boxRim(one),
    belowMeasured: levels.headM < LEAST_MEASURED_HEAD_M,
    overTeethM: overflow.teeth ? levels.headM - overflow.teeth.heightM : null,
    teethDrownM3PerS: overflow.teeth ? flowOver(rim, overflow.teeth.heightM) : null,
    tankSpillsM3PerS: flowOver(rim, tank.rimM - overflow.crestM),
    passageHeadM: overflow.passage ? passageHeadM(one, flowM3PerS) : null,
    froude,
    prime: froude === null ? null : primeVerdict(froude),
    keepsIn: overflow.keepsInM === null ? null : leastOpeningM < overflow.keepsInM,
    leastOpeningM,
    blocked: blockedRows(settled, one, levels, flowM3PerS),
  }
}

/** The smallest opening on the way out: between teeth, or in the guard. */
function leastOpening({ overflow }: Overflowing): number {
  return Math.min(
    overflow.teeth?.slotWidthM ?? Infinity,
    overflow.guard?.leastOpeningM ?? Infinity,
    overflow.rimLengthM,
  )
}

/** Every single pipe blocked in turn; pipes that join go together too. A pipe that is dry is not missed. */
function blockedRows(
  { drainFlows }: Settled,
  one: Overflowing,
  running: TankLevels,
  flowM3PerS: number,
): BlockedRow[] {
  return causesOf(one.drains).map((cause) => {
    const drainIds = cause.map(({ drain }) => drain.id)
    const missed = cause.some(({ index }) => drainFlows[index]! > 0)
    const levels = missed ? levelsOver(one, flowM3PerS, new Set(drainIds)) : running
    return rowOf(one, levels, drainIds, cause.map(({ drain }) => drain.name).join(' and '))
  })
}

/** What one blockage can take: each pipe, and each join's two. */
function causesOf(drains: readonly LaidDrain[]): LaidDrain[][] {
  const joined = gather(drains, (laid) => {
    const trunk = drains.find(({ drain }) => drain.id === laid.trunkId)
    return trunk ? [[trunk, laid]] : []
  })
  return [...drains.map((laid) => [laid]), ...joined]
}

function rowOf(
  { tank, overflow }: Overflowing,
  levels: TankLevels,
  drainIds: readonly string[],
  name: string,
): BlockedRow {
  const { surfaceM, boxM, spills } = levels
  const tankRimM = tank.floorHeightM + tank.rimM
  const boxLeft =
    overflow.box && overflow.form !== 'inner-box'
      ? tank.floorHeightM + overflow.box.rimM - (boxM ?? -Infinity)
      : Infinity
  const sensorM = overflow.sensorM === null ? Infinity : tank.floorHeightM + overflow.sensorM
  return {
    drainIds,
    name,
    surfaceM,
    boxM,
    carries: spills === null,
    marginM: spills === null ? Math.min(tankRimM - surfaceM, boxLeft) : 0,
    sensorStops: (boxM ?? surfaceM) >= sensorM,
  }
}
