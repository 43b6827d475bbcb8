import { type About, workedAt } from './about.ts'
import { flowWorking, headWorking, liftWorking, turnoverWorking } from './duty.ts'
import { allPowerWorking, heaterWorking } from './heat.ts'
import { fastestWorking, fittingsWorking, frictionWorking } from './losses.ts'
import { leastSpeedWorking, wirePowerWorking, wireToWaterWorking } from './pump.ts'
import {
  contentsMassWorking,
  grossVolumeWorking,
  netVolumeWorking,
  wantedFlowWorking,
  waterWorking,
} from './tank.ts'
import {
  air,
  dose,
  dwell,
  feedLoad,
  removal,
  shareOfThroughflow,
  skimmerDepthWorking,
  systemVolume,
  systemVolumes,
} from './treatment.ts'
import {
  chamberTime,
  drainBackWorking,
  drainFlow,
  fillLine,
  runningLevel,
  untilAir,
  weirHead,
} from './way-down.ts'
import type { Worked, Working } from './working.ts'

/** What a figure is one of for each of. */
export type FigureOf = 'design' | 'tank' | 'line' | 'drain' | 'chamber' | 'device'

interface Entry {
  readonly of: FigureOf
  /** null: the design has no such figure there. */
  readonly make: (about: About) => Working | null
}

const of = (what: FigureOf, make: Entry['make']): Entry => ({ of: what, make })
const returns = (what: FigureOf, make: (worked: Worked) => Working): Entry =>
  of(what, (about) => make(workedAt(about)))

/** Every figure that can be opened, and how it came about. */
const REGISTRY = {
  grossVolume: returns('tank', grossVolumeWorking),
  netVolume: returns('tank', netVolumeWorking),
  contentsMass: returns('tank', contentsMassWorking),
  wantedFlow: returns('tank', wantedFlowWorking),
  turnover: returns('tank', turnoverWorking),
  weirHead: of('tank', weirHead),
  runningLevel: of('tank', runningLevel),
  water: returns('design', waterWorking),
  flow: returns('line', flowWorking),
  head: returns('line', headWorking),
  lift: returns('line', liftWorking),
  friction: returns('line', frictionWorking),
  fittings: returns('line', fittingsWorking),
  fastest: returns('line', fastestWorking),
  wirePower: returns('line', wirePowerWorking),
  wireToWater: returns('line', wireToWaterWorking),
  leastSpeed: returns('line', leastSpeedWorking),
  drainFlow: of('drain', drainFlow),
  chamberTime: of('chamber', chamberTime),
  drainBack: of('design', drainBackWorking),
  fillLine: of('design', fillLine),
  untilAir: of('design', untilAir),
  heater: of('design', heaterWorking),
  allPower: of('design', allPowerWorking),
  systemVolume: of('design', systemVolume),
  feedLoad: of('design', feedLoad),
  shareOfThroughflow: of('device', shareOfThroughflow),
  systemVolumes: of('device', systemVolumes),
  dwell: of('device', dwell),
  air: of('device', air),
  skimmerDepth: of('device', skimmerDepthWorking),
  dose: of('device', dose),
  removal: of('device', removal),
} satisfies Readonly<Record<string, Entry>>

/** A figure that can be opened. */
export type FigureName = keyof typeof REGISTRY

/** Every figure that has a working. */
export const FIGURES = Object.keys(REGISTRY) as readonly FigureName[]

/** What a figure is one of for each of. */
export const figureIsOf = (figure: FigureName): FigureOf => REGISTRY[figure].of

/** How one figure of a solved design came about; null where the design has no such figure there. Made when it is opened, not with every solve. */
export function workingOf(figure: FigureName, about: About): Working | null {
  return REGISTRY[figure].make(about)
}
