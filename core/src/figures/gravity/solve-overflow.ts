import { primeVerdict, tubeFroude } from '../../drain/index.ts'
import { boxRim, type Overflowing, passageHeadM, type TankLevels } from '../../loop/index.ts'
import { flowOver, LEAST_MEASURED_HEAD_M } from '../../weir/index.ts'
import { flowShareOf } from '../flow-share.ts'
import { levelBandsM, rimLevelBandM } from './level-bands.ts'
import type { RunningOverflow } from './solved-gravity.ts'

/** The overflow of one tank as it runs. */
export function solveOverflow(
  overflowing: Overflowing,
  levels: TankLevels,
  { flowM3PerS, flowBandM3PerS }: { readonly flowM3PerS: number; readonly flowBandM3PerS: number },
): RunningOverflow {
  const { tank, overflow, rim } = overflowing
  const share = flowShareOf({ flowM3PerS, flowBandM3PerS })
  const bands = levelBandsM(overflowing, levels, share)
  const tube = overflow.passage?.kind === 'siphon' ? overflow.passage : null
  const froude = tube ? tubeFroude(tube.boreM, flowM3PerS / tube.count) : null
  const leastOpeningM = leastOpening(overflowing)
  return {
    tankId: tank.id,
    flowM3PerS,
    crestM: tank.floorHeightM + overflow.crestM,
    surfaceM: levels.surfaceM,
    surfaceBandM: bands.surfaceM,
    boxM: levels.boxM,
    boxBandM: bands.boxM,
    headM: levels.headM,
    headBandM: rimLevelBandM(levels.headM, share),
    spills: levels.spills,
    innerM: Number.isFinite(levels.innerM) ? levels.innerM : null,
    boxRimM: tank.floorHeightM + boxRim(overflowing),
    belowMeasured: levels.headM < LEAST_MEASURED_HEAD_M,
    overTeethM: overflow.teeth ? levels.headM - overflow.teeth.heightM : null,
    teethDrownM3PerS: overflow.teeth ? flowOver(rim, overflow.teeth.heightM) : null,
    tankSpillsM3PerS: flowOver(rim, tank.rimM - overflow.crestM),
    passageHeadM: overflow.passage ? passageHeadM(overflowing, flowM3PerS) : null,
    froude,
    prime: froude === null ? null : primeVerdict(froude),
    keepsIn: overflow.keepsInM === null ? null : leastOpeningM < overflow.keepsInM,
    leastOpeningM,
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
