import type { BasinDesign, SumpBox } from '../../design/index.ts'
import type { SolvedOutage } from '../../judge/index.ts'
import { flatMap } from '../../numeric/index.ts'
import { LEAST_RUNNING_DEPTH_M } from '../limits.ts'
import type { Case } from '../rule.ts'
import type { Whole } from './whole.ts'

/** A sump with sizes, and what a power cut does to it. */
export interface OutageCase extends Case {
  readonly whole: Whole
  readonly box: SumpBox
  readonly outage: SolvedOutage
  readonly returnIndex: number
}

/** The power cut of a sump that has sizes. */
export function outageCases(whole: Whole): OutageCase[] {
  const { box } = whole.design.sump
  const { outage } = whole.sump
  if (!box || !outage) return []
  return [{ whole, box, outage, returnIndex: whole.steady.returnIndex, where: {} }]
}

/** held: below its fill line. too-small: no line that the pump can run at holds it. above: over its line. elsewhere: the floor gets it before the sump does. */
export type OutageState = 'held' | 'too-small' | 'above' | 'elsewhere'

/** How the running level stands to the line that holds a power cut. */
export function outageState({ whole, box, outage, returnIndex }: OutageCase): OutageState {
  const { levelM } = whole.design.sump.chambers[returnIndex]!
  const { fillLineM } = outage
  if (fillLineM === null) return 'too-small'
  if (levelM <= fillLineM) return outage.elsewhere ? 'elsewhere' : 'held'
  return fillLineM < leastLevelM(whole.design, box) ? 'too-small' : 'above'
}

/** The lowest the return chamber may run: over its pumps' inlets, or a hand's width of water. */
function leastLevelM({ returnSide }: BasinDesign, box: SumpBox): number {
  const inlets = flatMap(returnSide.pumps, ({ inletHeightM }) =>
    inletHeightM === null ? [] : [inletHeightM],
  )
  return Math.max(box.floorHeightM + LEAST_RUNNING_DEPTH_M, ...inlets)
}

/** What comes down and the line, as a sentence needs them. */
export function outageValues({ outage, box }: OutageCase) {
  return {
    back: ['volume', outage.drainBack.totalM3],
    free: ['volume', outage.freeVolumeM3],
    line: ['length', (outage.fillLineM ?? NaN) - box.floorHeightM],
    missing: ['volume', outage.missingM3],
    left: ['length', outage.marginM, outage.marginBandM],
  } as const
}
