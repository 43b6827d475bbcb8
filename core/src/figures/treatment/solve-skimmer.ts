import type { BasinDesign, Device } from '../../design/index.ts'
import {
  skimmerDepth,
  skimmerFigures,
  type SkimmerSpec,
  skimmerVerdicts,
} from '../../skimmer/index.ts'
import type { RunningSump } from '../gravity/solved-gravity.ts'
import type { SolvedReturn } from '../return/solved.ts'
import { aboveM } from './place.ts'
import { passesM3PerS } from './solve-devices.ts'
import type { SolvedLoad, SolvedSkimmer } from './solved-treatment.ts'

/** What a skimmer is set against. */
interface Around {
  readonly load: SolvedLoad
  readonly sump: RunningSump
  readonly returnSide: SolvedReturn
}

/** A skimmer against the load, its chamber and its top-off. */
export function solveSkimmer(
  design: BasinDesign,
  device: Device,
  spec: SkimmerSpec,
  { load, sump, returnSide }: Around,
): SolvedSkimmer {
  const { school, oversizeFrom, oversizeTo } = design.treatment
  const chamber = sump.chambers.find(({ chamberId }) => chamberId === device.chamberId)
  const speed = device.part.control === 'controllable' ? device.speed : 1
  const figures = skimmerFigures(spec, speed, {
    throughM3PerS: passesM3PerS(design, sump, returnSide, device.chamberId) ?? 0,
    netVolumeM3: load.systemVolumeM3,
  })
  const verdicts = skimmerVerdicts(
    spec,
    load.systemVolumeM3,
    { least: load.least.loadClass, most: load.most.loadClass },
    { from: oversizeFrom, to: oversizeTo },
  )
  const depthM = chamber?.depthM ?? null
  const { topOff } = design.sump
  const topOffRunsS = topOff ? spec.givesBackM3 / topOff.flowM3PerS : null
  const limitS = topOff?.runLimitS ?? null
  const overM = aboveM(design.sump, device)
  return {
    deviceId: device.id,
    flowM3PerS: figures.flowM3PerS,
    airM3PerS: figures.airM3PerS,
    shareOfThroughflow: figures.shareOfThroughflow,
    systemVolumesPerH: figures.systemVolumesPerH,
    dwellS: figures.dwellS,
    airToWater: figures.airToWater,
    airPerNeckMPerS: figures.airPerNeckMPerS,
    verdicts,
    inForce: verdicts[school],
    depth:
      spec.wantsDepth && depthM !== null && spec.form === 'internal'
        ? skimmerDepth(spec.wantsDepth, depthM, device.standM)
        : null,
    aboveCupM: overM === null ? null : overM - spec.cupLiftM,
    givesBackM3: spec.givesBackM3,
    topOffRunsS,
    pastRunLimit: topOffRunsS !== null && limitS !== null && topOffRunsS > limitS,
  }
}
