import { type BasinDesign, byId, partOf } from '../design/index.ts'
import { rulesOfThumb } from '../figures/index.ts'
import type { Judged } from '../judge/index.ts'
import { pumpOf } from '../layout/index.ts'
import { steadyState } from '../loop/index.ts'
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

/** Which line and tank a figure is of; left out: those the design is known by. */
export interface About {
  readonly lineId?: string | null
  readonly tankId?: string | null
}

/** The working of one figure of a solved design. Made when it is opened, not with every solve. */
export function workingOf(
  figure: FigureName,
  design: BasinDesign,
  solved: Judged,
  about: About = {},
): Working {
  const layout = steadyState(design).layout
  const { lines, leadLineId } = solved.returnSide
  const line =
    lines.find(({ lineId }) => lineId === about.lineId) ??
    lines.find(({ lineId }) => lineId === leadLineId)!
  const end = byId(design.returnSide.lines, line.lineId, 'line').end
  const tankId = about.tankId ?? (end.at === 'tank' ? end.id : design.tanks[0]!.id)
  const tankIndex = Math.max(
    0,
    design.tanks.findIndex(({ id }) => id === tankId),
  )
  const solvedTank = solved.tanks[tankIndex]!
  const lineIndex = layout.lines.findIndex((laid) => laid.line.id === line.lineId)
  return WORKINGS[figure]({
    design,
    water: solved.water,
    tank: design.tanks[tankIndex]!,
    solvedTank,
    line,
    part: partOf(design, line.pump.partId),
    sourceLevelM: pumpOf(layout, lineIndex).sourceLevelM,
    rules: rulesOfThumb(layout, line, solvedTank.turnoverPerH),
  })
}
