import { layOut } from '../layout.ts'
import type { BasinDesign } from '../design.ts'
import type { SolvedBasin } from '../solved-basin.ts'
import { flowWorking, headWorking, liftWorking, turnoverWorking } from './duty.ts'
import { fastestWorking, fittingsWorking, frictionWorking } from './losses.ts'
import { leastSpeedWorking, wirePowerWorking, wireToWaterWorking } from './pump.ts'
import {
  contentsMassWorking,
  grossVolumeWorking,
  netVolumeWorking,
  wantedFlowWorking,
  waterWorking,
} from './tank.ts'
import type { Worked, Working } from './working.ts'

const WORKINGS = {
  grossVolume: grossVolumeWorking,
  netVolume: netVolumeWorking,
  contentsMass: contentsMassWorking,
  wantedFlow: wantedFlowWorking,
  water: waterWorking,
  flow: flowWorking,
  turnover: turnoverWorking,
  head: headWorking,
  lift: liftWorking,
  friction: frictionWorking,
  fittings: fittingsWorking,
  fastest: fastestWorking,
  wirePower: wirePowerWorking,
  wireToWater: wireToWaterWorking,
  leastSpeed: leastSpeedWorking,
} satisfies Readonly<Record<string, (worked: Worked) => Working>>

/** A figure that can be opened. */
export type FigureName = keyof typeof WORKINGS

export const FIGURES = Object.keys(WORKINGS) as readonly FigureName[]

/** The working of one figure of a solved design. Made when it is opened, not with every solve. */
export function workingOf(figure: FigureName, design: BasinDesign, solved: SolvedBasin): Working {
  return WORKINGS[figure]({ design, solved, layout: layOut(design) })
}
